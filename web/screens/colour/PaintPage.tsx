import { knownPaint } from '#core/coats/index';
import { DRAWN_ON, hexOf, readColour } from '#core/colour/index';
import { type Flake, FLAKES, type Light, LIGHTS, type Measured, plain, type Product, READ_WITH } from '#core/facts/index';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { SmallField, SmallForm, SmallSelect } from '../../views/fields/SmallField.tsx';
import { Why } from '../../views/Why.tsx';
import { CupTests } from './CupTests.tsx';
import { FilmReadings } from './FilmReadings.tsx';
import { TintTable } from './TintTable.tsx';

const WITH_NAMES: Record<Measured['with'], string> = {
  instrument: 'a meter',
  chart: 'a chart',
  picture: 'a picture',
  eye: 'the eye',
  label: 'the label',
};
const LIGHT_NAMES: Record<Light, string> = { daylight: 'by daylight', lamp: 'by lamp', both: 'in two lights' };
const FLAKE_NAMES: Record<Flake, string> = { metallic: 'metallic flake', pearl: 'pearl', chrome: 'like chrome' };

/** One paint as the bench knows it: its colour and what that rests on, what its films have shown, and what tinting makes of it. */
export function PaintPage() {
  const { productId } = useParams();
  const { facts } = usePlan();
  const product = facts.products.find((own) => own.id === productId);
  const sheet = facts.sheets.find((own) => own.id === product?.sheetId);
  if (!product || !sheet)
    return (
      <section className="sheet">
        <h1>That paint is not here</h1>
        <Link className="linklike" to="/colour">
          Back to Colour
        </Link>
      </section>
    );
  const known = knownPaint(product, facts);
  return (
    <>
      <Link className="linklike" to="/colour">
        Colour
      </Link>
      <div className="mt-2 grid items-start gap-5 xl:grid-cols-2">
        <section className="sheet" aria-labelledby="paint">
          <h1 id="paint">{product.name}</h1>
          <p className="second">
            {plain(sheet.family)}
            {product.transparent && ', transparent'}
          </p>
          <div className="mt-3 grid border border-[#8c8c8c]" style={{ gridTemplateColumns: product.edgeOn ? '1fr 1fr' : '1fr' }}>
            <Face title={product.edgeOn ? 'face-on' : 'as it dries'} lab={known.lab} />
            {product.edgeOn && <Face title="edge-on" lab={product.edgeOn} />}
          </div>
          <p className="mt-2">
            <Why
              title="Its colour"
              text={
                known.fit
                  ? `Fitted to ${known.fit.readings} films read here, which lie ΔE ${known.fit.deltaE.toFixed(1)} from it on average.`
                  : `L ${known.lab.l.toFixed(1)}, a ${known.lab.a.toFixed(1)}, b ${known.lab.b.toFixed(1)}.`
              }
              source={known.source === 'guess' ? 'default' : known.source}
            >
              L {Math.round(known.lab.l)}, a {Math.round(known.lab.a)}, b {Math.round(known.lab.b)}
            </Why>
            {!product.transparent && `; a coat lets ${Math.round(known.share * 100)} % of the contrast below through`}
            {product.measured && `; read with ${WITH_NAMES[product.measured.with]} ${LIGHT_NAMES[product.measured.light]}`}
          </p>
          <Colour product={product} />
          <Drawdown product={product} />
        </section>
        <div className="space-y-5">
          <FilmReadings product={product} />
          {sheet.role === 'colour' && !product.transparent && <TintTable product={product} />}
          <CupTests product={product} sheet={sheet} />
        </div>
      </div>
    </>
  );
}

function Face({ title, lab }: { title: string; lab: Product['lab'] }) {
  return (
    <div className={`min-h-28 p-3 ${lab.l > 55 ? 'text-[#161616]' : 'text-[#ffffff]'}`} style={{ background: hexOf(lab) }}>
      {title}
    </div>
  );
}

/** The colour as it was read, with what and in which light; what glitters, and how it looks from the edge. */
function Colour({ product }: { product: Product }) {
  const { save } = useSaving();
  const [typed, setTyped] = useState({ lab: '', edgeOn: '' });
  const [read, setRead] = useState<Measured>(product.measured ?? { with: 'eye', light: 'both' });
  const [flake, setFlake] = useState<Flake | ''>(product.flake ?? '');
  const [problem, setProblem] = useState('');
  const keep = async () => {
    const lab = typed.lab.trim() ? readColour(typed.lab) : null;
    const edge = typed.edgeOn.trim() ? readColour(typed.edgeOn) : null;
    if (lab && !lab.ok) return setProblem(lab.mend);
    if (edge && !edge.ok) return setProblem(`Edge-on: ${edge.mend}`);
    setProblem('');
    const { flake: _flake, edgeOn, ...rest } = product;
    const glitters = flake !== '';
    const seenEdge = edge?.ok ? edge.lab : edgeOn;
    await save(
      'products',
      {
        ...rest,
        ...(lab?.ok ? { lab: lab.lab, measured: read } : {}),
        ...(glitters ? { flake, ...(seenEdge ? { edgeOn: seenEdge } : {}) } : {}),
      },
      'Kept.',
    );
    setTyped({ lab: '', edgeOn: '' });
  };
  return (
    <SmallForm label="Its colour" problem={problem} onSend={() => void keep()}>
      <SmallField
        label="as read, dry: hex or L a b"
        width="!w-44 font-mono"
        value={typed.lab}
        onText={(lab) => setTyped({ ...typed, lab })}
      />
      <SmallSelect
        label="with"
        width="!w-32"
        value={read.with}
        options={READ_WITH.map((value) => ({ value, label: WITH_NAMES[value] }))}
        onChange={(value) => setRead({ ...read, with: value })}
      />
      <SmallSelect
        label="light"
        width="!w-36"
        value={read.light}
        options={LIGHTS.map((value) => ({ value, label: LIGHT_NAMES[value] }))}
        onChange={(light) => setRead({ ...read, light })}
      />
      <SmallSelect
        label="in it"
        width="!w-36"
        value={flake}
        options={[{ value: '', label: 'no flakes' }, ...FLAKES.map((value) => ({ value, label: FLAKE_NAMES[value] }))]}
        onChange={setFlake}
      />
      {flake !== '' && (
        <SmallField
          label="edge-on: hex or L a b"
          width="!w-44 font-mono"
          value={typed.edgeOn}
          onText={(edgeOn) => setTyped({ ...typed, edgeOn })}
        />
      )}
      <button type="submit" className="act !min-h-10">
        Keep it
      </button>
    </SmallForm>
  );
}

/** One coat drawn over black and over white: what it absorbs and what it scatters, apart. */
function Drawdown({ product }: { product: Product }) {
  const { save } = useSaving();
  const [typed, setTyped] = useState({ black: '', white: '' });
  const [problem, setProblem] = useState('');
  if (product.transparent) return null;
  const keep = async () => {
    const [black, white] = [readColour(typed.black), readColour(typed.white)];
    if (!black.ok) return setProblem(`Over black: ${black.mend}`);
    if (!white.ok) return setProblem(`Over white: ${white.mend}`);
    if (white.lab.l < black.lab.l) return setProblem('Over white a coat is never darker than over black: the two are the wrong way round.');
    setProblem('');
    if (await save('products', { ...product, drawdown: { black: black.lab, white: white.lab } }, 'Two constants: mixes reckon with both.'))
      setTyped({ black: '', white: '' });
  };
  const { drawdown: _drawdown, ...without } = product;
  return (
    <details className="mt-3">
      <summary className="min-h-9 cursor-pointer">One coat over black and over white{product.drawdown ? ': read' : ''}</summary>
      <p className="second text-small">
        One normal coat, dried, over a black of L {DRAWN_ON.black.l} and a white of L {DRAWN_ON.white.l}. It tells how the paint hides and
        how strong it is in a mix.
      </p>
      {product.drawdown ? (
        <p className="mt-2 flex items-center gap-3">
          <span aria-hidden className="block h-9 w-14 border border-[#8c8c8c]" style={{ background: hexOf(product.drawdown.black) }} />
          <span aria-hidden className="block h-9 w-14 border border-[#8c8c8c]" style={{ background: hexOf(product.drawdown.white) }} />
          <button type="button" className="chip !min-h-9" onClick={() => void save('products', without, 'Taken out.')}>
            take it out
          </button>
        </p>
      ) : (
        <SmallForm label="Drawn down" problem={problem} onSend={() => void keep()}>
          <SmallField label="over black" width="!w-40 font-mono" value={typed.black} onText={(black) => setTyped({ ...typed, black })} />
          <SmallField label="over white" width="!w-40 font-mono" value={typed.white} onText={(white) => setTyped({ ...typed, white })} />
          <button type="submit" className="act !min-h-10">
            Keep both
          </button>
        </SmallForm>
      )}
    </details>
  );
}
