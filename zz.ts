import { coat, NOW, part, planOf, primed, primer, shelf, wanted, steps, solePiece, at, done, lacquer, clear } from '#core/invented/index';
import { toIso } from '#core/units/index';
const sheet = { ...shelf.sheets[0], id: 's-candy', name: 'Green candy', family: 'candy', role: 'colour', label: { clearUntilMin: 12 } } as any;
const sheet2 = { ...shelf.sheets[0], id: 's-silver', name: 'Silver', family: 'solvent-base', role: 'metallic', label: { } } as any;
const facts: any = { ...shelf, sheets: [...shelf.sheets, sheet, sheet2], products: [...shelf.products, { ...shelf.products[0], id: 'candy', sheetId: 's-candy', name: 'Green candy' }, { ...shelf.products[0], id: 'silver', sheetId: 's-silver', name: 'Silver' }], cans: [...shelf.cans, { ...shelf.cans[0], id: 'c1', productId: 'candy'}, {...shelf.cans[0], id:'c2', productId:'silver'}] };
const layers: any = [primer(), { id: 'silver', productId: 'silver', coats: 2, covers: 'all' }, { id: 'candy', productId: 'candy', coats: 3, covers: 'all' }, clear];
const ev = (min: number) => [...primed, coat('silver', 1, min+70, 'solvent-base', 'metallic', 12), coat('silver', 2, min+60, 'solvent-base', 'metallic', 12), coat('candy',1,min+20,'candy','colour',12), coat('candy',2,min+10,'candy','colour',12), coat('candy',3,min,'candy','colour',12)];
for (const min of [2, 15, 60*24*3]) {
const r = planOf(part({ material: 'steel', layers }), ev(min) as any, {}, facts);
console.log('--', min);
for (const s of r.steps) console.log(s.stage, s.title, s.placed ? new Date(s.placed.start*60000).toISOString() : 'NO: ' + s.unplaced, s.stopped ?? '', s.constraints.map(c=>c.reason).join('|'));
for (const j of r.pieces[0].parts?.[0]?.joints ?? (r.pieces[0] as any).joints ?? []) console.log(j.layerId, j.joint?.verdict ?? j.verdict, JSON.stringify(j.now)?.slice(0,300), JSON.stringify(j.remedies)?.slice(0,300));
if (min===15) console.log(Object.keys(r), Object.keys(r.pieces[0]));
}
for (const min of [2, 9, 11, 15, 60*24*1]) {
const r = planOf(part({ material: 'steel', layers }), ev(min) as any, {}, facts);
console.log('--', min, r.pieces[0].noDateWhy, JSON.stringify(r.pieces[0].missing), JSON.stringify(r.pieces[0].notes));
for (const j of r.pieces[0].steps.joints) console.log(j.layerId, j.belowLayerId, j.laid, j.joint.verdict, JSON.stringify(j.now)?.slice(0,250), j.joint.branches.map(b=>b.state+b.answer.verdict).join());
for (const s of r.steps) console.log(s.stage, s.title, s.placed ? new Date(s.placed.start*60000).toISOString() : 'NO: ' + JSON.stringify((s as any).whyNot ?? (s as any).noPlace ?? Object.keys(s)));
}
