import type { LayerView } from '#core/plan/index';

/** Where each layer of a stack is drawn: a column a zone, to one scale; a layer that starts at one height in neighbours runs across. */

export type Block = {
  readonly layer: LayerView;
  readonly x: number;
  readonly wide: number;
  readonly y: number;
  readonly tall: number;
};

export type Label = { readonly layer: LayerView; readonly y: number; readonly from: number };

export type Columns = {
  readonly blocks: readonly Block[];
  readonly labels: readonly Label[];
  /** Film of each zone in µm, with the top of its column. */
  readonly zones: readonly { readonly id: string; readonly x: number; readonly wide: number; readonly um: number; readonly top: number }[];
};

export type Space = { readonly left: number; readonly wide: number; readonly bottom: number; readonly room: number };

const GAP = 8;
const LEAST = 22;
const MOST_SCALE = 3.6;
const LABEL_APART = 38;

export function stackColumns(layers: readonly LayerView[], zoneIds: readonly string[], space: Space): Columns {
  const columns = zoneIds.length;
  const wide = (space.wide - GAP * (columns - 1)) / columns;
  const xOf = (column: number) => space.left + column * (wide + GAP);
  const onZone = (id: string) => layers.filter((layer) => layer.zoneIds.includes(id));
  const highest = Math.max(1, ...zoneIds.map((id) => onZone(id).reduce((sum, layer) => sum + layer.um, 0)));
  const scale = Math.min(MOST_SCALE, space.room / highest);
  const natural = (layer: LayerView) => Math.max(LEAST, layer.um * scale);
  const tallest = Math.max(1, ...zoneIds.map((id) => onZone(id).reduce((sum, layer) => sum + natural(layer), 0)));
  const fit = Math.min(1, space.room / tallest);
  const tops = zoneIds.map(() => space.bottom);
  const blocks = layers.flatMap((layer) => {
    const tall = natural(layer) * fit;
    const covered = zoneIds.flatMap((id, column) => (layer.zoneIds.includes(id) ? [column] : []));
    const runs = runsOf(covered, tops);
    for (const column of covered) tops[column] -= tall;
    return runs.map((run) => ({
      layer,
      x: xOf(run[0]),
      wide: wide * run.length + GAP * (run.length - 1),
      y: tops[run[0]],
      tall,
    }));
  });
  return {
    blocks,
    labels: spread(layers, blocks, space.bottom),
    zones: zoneIds.map((id, column) => ({
      id,
      x: xOf(column),
      wide,
      top: tops[column],
      um: onZone(id).reduce((sum, layer) => sum + layer.um, 0),
    })),
  };
}

/** Neighbouring columns of one height. */
function runsOf(columns: readonly number[], tops: readonly number[]): number[][] {
  return columns.reduce<number[][]>((runs, column) => {
    const last = runs.at(-1);
    if (last && last[last.length - 1] === column - 1 && Math.abs(tops[column] - tops[column - 1]) < 0.01) last.push(column);
    else runs.push([column]);
    return runs;
  }, []);
}

/** One label a layer at its rightmost block, lowest first, none nearer to the next than a line of text. */
function spread(layers: readonly LayerView[], blocks: readonly Block[], bottom: number): Label[] {
  const wanted = layers
    .flatMap((layer) => {
      const own = blocks.filter((block) => block.layer === layer).at(-1);
      return own ? [{ layer, from: own.y + own.tall / 2 }] : [];
    })
    .sort((a, b) => b.from - a.from);
  let next = bottom - LABEL_APART / 2;
  return wanted.map(({ layer, from }) => {
    const y = Math.min(from, next);
    next = y - LABEL_APART;
    return { layer, from, y };
  });
}
