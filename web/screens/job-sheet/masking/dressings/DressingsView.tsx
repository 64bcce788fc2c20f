import type { Part } from '#core/facts/index';
import type { ReactNode } from 'react';
import type { SectionProps } from '../../sectionProps.ts';
import { Decals } from './Decals.tsx';
import { Details } from './Details.tsx';

/** What is picked out by hand and what is stuck on: lists of their own, as steps between the layers. */
export function DressingsView({ piece, view, part, head }: SectionProps & { readonly part: Part; readonly head: ReactNode }) {
  const dressings = view.dressings.filter((own) => own.partId === part.id);
  const layers = view.stacks[part.id].layers;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-2">
      <section className="sheet xl:col-span-2">{head}</section>
      <Details piece={piece} part={part} layers={layers} dressings={dressings} />
      <Decals piece={piece} part={part} layers={layers} dressings={dressings} />
    </div>
  );
}
