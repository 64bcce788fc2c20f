import { z } from 'zod';
import { SmallForm } from '../fields/SmallField.tsx';
import { TypedField } from './TypedField.tsx';
import { useTyped } from './useTyped.ts';

/** A line of text and its button; pressed with nothing typed it says what it lacks. */
export function OneLine({
  label,
  button,
  lacks,
  width,
  placeholder,
  most = 80,
  onKeep,
}: {
  label: string;
  button: string;
  /** What is said where nothing is typed. */
  lacks: string;
  width?: string;
  placeholder?: string;
  most?: number;
  onKeep: (text: string) => Promise<boolean>;
}) {
  const schema = z.object({ text: z.string().trim().min(1, lacks).max(most, `At most ${most} characters.`) });
  const form = useTyped(schema, { text: '' });
  return (
    <SmallForm label={button} className="flex flex-wrap items-end gap-2" onSend={() => void form.send(({ text }) => onKeep(text))}>
      <TypedField form={form} of="text" label={label} width={width} placeholder={placeholder} />
      <button type="submit" className="chip !min-h-10">
        {button}
      </button>
    </SmallForm>
  );
}
