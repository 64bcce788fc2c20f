import { type Aim, aimSchema, type Piece, plain } from '#core/facts/index';
import { capital } from '#core/units/index';
import { KeptField } from '../../../views/fields/KeptField.tsx';
import { SmallSelect } from '../../../views/fields/SmallField.tsx';
import { readScale } from '../../../views/words/scaleText.ts';
import { usePieceSave } from '../pieceChanges.ts';

const SAID: Partial<Record<Aim, string>> = {
  preserve: 'It is preserved: cleaned and kept, nothing stripped or painted over. Its coats are laid aside.',
};

/** What the piece is to become and to which scale it is made, to be said again at any time. */
export function AimAndScale({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  return (
    <div className="mt-2 flex flex-wrap items-start gap-3">
      <SmallSelect
        label="the aim"
        width="!w-40"
        value={piece.aim}
        options={aimSchema.options.map((value) => ({ value, label: capital(plain(value)) }))}
        onChange={(aim) => void save({ ...piece, aim }, SAID[aim] ?? `The aim is now: ${plain(aim)}.`)}
      />
      <KeptField
        label="scale, if it is a model"
        labelLook="second block text-small"
        look="!min-h-10 !w-28"
        shown={piece.scale === undefined ? '' : `1:${piece.scale}`}
        placeholder="1:43"
        read={readScale}
        onKeep={(scale) => void save({ ...piece, scale }, scale === undefined ? 'It is no scale model.' : `It is 1:${scale}.`)}
      />
    </div>
  );
}
