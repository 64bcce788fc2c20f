import { bestReference, hexOf, likeness, LOOK_BENEATH, readColour, spotsApart, trustOf } from '#core/colour/index';
import {
  AGEINGS,
  type Ageing,
  type Light,
  LIGHTS,
  type Piece,
  type Reference,
  REFERENCE_KINDS,
  type ReferenceKind,
} from '#core/facts/index';
import { isPlanned } from '#core/safety/index';
import { capital, listed, toIso } from '#core/units/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { nowMinute } from '../../../../app/plan/PlanContext.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { SmallCheck, SmallField, SmallForm, SmallSelect } from '../../../../views/fields/SmallField.tsx';
import { Why } from '../../../../views/Why.tsx';
import { FromPicture } from '../../../colour/FromPicture.tsx';
import { Adding } from '../../Adding.tsx';
import { usePieceSave } from '../../pieceChanges.ts';
import type { SectionProps } from '../../sectionProps.ts';
import { Targets } from './Targets.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** What a likeness can be hoped for from a reading of this quality. */
const GOOD_FOR = {
  match: 'good enough for a match',
  family: 'good for a family likeness',
  other: 'good for the family of colours, no more',
};
const LIGHT_NAMES: Record<Light, string> = { daylight: 'by daylight', lamp: 'by lamp', both: 'in two lights' };
/** Read on the piece itself, so before its paint goes. */
const ON_THE_PIECE: readonly ReferenceKind[] = ['hidden-spot', 'aged-spot'];

/** Of many spots the pairs that differ most are said. */
const MOST_PAIRS = 6;

/** What saw no light, or is a good example, has not faded. */
const UNFADED: readonly ReferenceKind[] = ['hidden-spot', 'unfaded-example', 'chip'];

/** What the colours of a piece are read from, how far each can be trusted, and what they are to be. */
export function References({ piece }: SectionProps) {
  const save = usePieceSave();
  const list = piece.references ?? [];
  const best = bestReference(list);
  const change = (own: Reference, fields: Partial<Reference>, said: string) =>
    void save({ ...piece, references: list.map((other) => (other.id === own.id ? { ...other, ...fields } : other)) }, said);
  const remove = (own: Reference) =>
    void save(
      {
        ...piece,
        references: list.filter((other) => other.id !== own.id),
        targets: piece.targets?.map(({ referenceId, ...target }) =>
          referenceId === own.id || referenceId === undefined ? target : { ...target, referenceId },
        ),
      },
      `${own.where}: taken out.`,
    );
  return (
    <div className="grid items-start gap-5 xl:grid-cols-2">
      <FoldingSheet title="What its colours are read from">
        <p className="second mt-1">
          Best is paint that never saw light: under a plate, in a seam, inside. It is read before anything is stripped. A screen is no
          colour chart.
        </p>
        <ul className="mt-2">
          {list.map((own) => (
            <li key={own.id} className="border-b border-hairline py-3">
              <Row
                own={own}
                best={own === best && list.length > 1}
                partName={piece.parts.find((part) => part.id === own.partId)?.name}
                onRemove={() => remove(own)}
              />
              <Reading piece={piece} own={own} onRead={(fields) => change(own, fields, 'Read.')} />
            </li>
          ))}
        </ul>
        <Apart references={list} />
        <Adding label="Add a reference">
          <AddReference piece={piece} onAdd={(own) => save({ ...piece, references: [...list, own] }, 'Added.')} />
        </Adding>
      </FoldingSheet>
      <Targets piece={piece} />
    </div>
  );
}

/** How far the spots are from each other: fading, or two colours. */
function Apart({ references }: { references: readonly Reference[] }) {
  const apart = spotsApart(references);
  if (apart.length === 0) return null;
  return (
    <section className="mt-3" aria-label="From each other">
      <h3 className="font-[650] text-ink">From each other</h3>
      <ul>
        {apart.slice(0, MOST_PAIRS).map(({ one, other, deltaE, beside, told }) => (
          <li key={`${one.id} ${other.id}`} className="text-small">
            {capital(one.where)} against {other.where}: <span className="figure">ΔE {deltaE.toFixed(1)}</span>
            {told ? `, ${listed(beside) || 'hardly to be told'}` : ', no more than the readings may be off'}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Row({ own, best, partName, onRemove }: { own: Reference; best: boolean; partName: string | undefined; onRemove: () => void }) {
  const trust = trustOf(own);
  return (
    <>
      <p className="flex items-start gap-3">
        <span
          aria-hidden
          className="mt-0.5 block h-9 w-12 shrink-0 border border-[#8c8c8c]"
          style={{ background: own.lab ? hexOf(own.lab) : 'transparent' }}
        />
        <span className="min-w-0 flex-1">
          <span className="font-[650] text-ink">{capital(own.where)}</span>
          {best && <strong className="ml-2 text-small">go by this one</strong>}
          <span className="second block text-small">
            {trust.name}
            {partName && `, on ${partName.toLowerCase()}`}
            {own.light && `, ${LIGHT_NAMES[own.light]}`};{' '}
            <Why
              title="How far it can be trusted"
              text={`Good to about ΔE ${trust.deltaE.toFixed(1)} either way: ${trust.because}.`}
              source="default"
            >
              ± {trust.deltaE.toFixed(1)} ΔE
            </Why>
            , {GOOD_FOR[likeness(trust.deltaE)]}
          </span>
        </span>
        <RemoveButton what={own.where} onRemove={onRemove} />
      </p>
      {(own.ageings ?? []).map((ageing) => (
        <p key={ageing} className="mt-1 border-l-4 border-hairline pl-3 text-small">
          {capital(ageing)}: {LOOK_BENEATH[ageing]}.
        </p>
      ))}
    </>
  );
}

/** The colour of a reference as it was read: typed, or from a picture. */
function Reading({ piece, own, onRead }: { piece: Piece; own: Reference; onRead: (fields: Partial<Reference>) => void }) {
  const [typed, setTyped] = useState('');
  const [light, setLight] = useState<Light>(own.light ?? 'both');
  const [problem, setProblem] = useState('');
  const photo = own.kind === 'photo' || own.kind === 'photo-card';
  const read = () => {
    const answer = readColour(typed);
    if (!answer.ok) return setProblem(answer.mend);
    setProblem('');
    setTyped('');
    onRead({ lab: answer.lab, readAt: toIso(nowMinute()), ...(photo ? {} : { light }) });
  };
  return (
    <Adding label={own.lab ? `Read ${own.where} again` : `Read ${own.where}`}>
      <SmallForm label={`Reading of ${own.where}`} problem={problem} onSend={read}>
        <SmallField
          label="as it was read, hex or L a b"
          width="!w-48 font-mono"
          value={typed}
          placeholder="#e6dcc0 or 88; 0; 14"
          onText={setTyped}
        />
        {!photo && (
          <SmallSelect
            label="seen"
            width="!w-40"
            value={light}
            options={LIGHTS.map((value) => ({ value, label: LIGHT_NAMES[value] }))}
            onChange={setLight}
          />
        )}
        <button type="submit" className="act !min-h-10">
          So it is
        </button>
      </SmallForm>
      <Adding label="or from a picture">
        <div className="mt-2">
          <FromPicture
            ofPiece={piece.id}
            onTake={({ lab, withCard, spread }) =>
              onRead({ lab, spread, readAt: toIso(nowMinute()), kind: photo ? (withCard ? 'photo-card' : 'photo') : own.kind })
            }
          />
        </div>
      </Adding>
    </Adding>
  );
}

function AddReference({ piece, onAdd }: { piece: Piece; onAdd: (own: Reference) => Promise<boolean> }) {
  const [kind, setKind] = useState<ReferenceKind>('hidden-spot');
  const [where, setWhere] = useState('');
  const [ageings, setAgeings] = useState<readonly Ageing[]>([]);
  const parts = piece.parts.filter((part) => isPlanned(part) && part.finish !== 'bare');
  const [partId, setPartId] = useState(parts[0]?.id ?? '');
  const [problem, setProblem] = useState('');
  const onPiece = ON_THE_PIECE.includes(kind) && parts.length > 0;
  const add = async () => {
    if (!where.trim()) return setProblem('Say where it is, such as under the name plate.');
    setProblem('');
    const own: Reference = {
      id: newId(),
      kind,
      where: where.trim(),
      ...(ageings.length > 0 ? { ageings: [...ageings] } : {}),
      ...(onPiece && partId ? { partId } : {}),
    };
    if (!(await onAdd(own))) return;
    setWhere('');
    setAgeings([]);
  };
  return (
    <SmallForm label="Add a reference" problem={problem} onSend={() => void add()}>
      <SmallSelect
        label="what it is"
        width="!w-64"
        value={kind}
        options={REFERENCE_KINDS.map((value) => ({ value, label: trustOf({ kind: value }).name }))}
        onChange={setKind}
      />
      <SmallField label="where" width="!w-56" value={where} placeholder="under the name plate" onText={setWhere} />
      {onPiece && (
        <SmallSelect
          label="old paint of"
          width="!w-44"
          value={partId}
          options={parts.map((part) => ({ value: part.id, label: part.name }))}
          onChange={setPartId}
        />
      )}
      {kind !== 'code' &&
        AGEINGS.filter((ageing) => ageing !== 'faded' || !UNFADED.includes(kind)).map((ageing) => (
          <SmallCheck
            key={ageing}
            label={ageing}
            checked={ageings.includes(ageing)}
            onChange={(on) => setAgeings(on ? [...ageings, ageing] : ageings.filter((other) => other !== ageing))}
          />
        ))}
      <button type="submit" className="act !min-h-10">
        Add it
      </button>
    </SmallForm>
  );
}
