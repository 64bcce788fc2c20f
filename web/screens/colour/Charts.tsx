import {
  besideWords,
  type ChartColour,
  chartAsCsv,
  chartAsGpl,
  colourDifference,
  hexOf,
  readChart,
  type ReadChart,
} from '#core/colour/index';
import type { Chart, Lab } from '#core/facts/index';
import { counted, listed } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { FileField } from '../../views/fields/FileField.tsx';
import { RemoveButton } from '../../views/fields/RemoveButton.tsx';
import { SmallField, SmallSelect } from '../../views/fields/SmallField.tsx';
import type { Target } from './target.ts';

/** Colours of a chart shown at once: the nearest, or those of a name. */
const MOST_SHOWN = 8;
const PROBLEMS_SHOWN = 5;

/** Colour charts somebody owns: brought in from a file, searched by name, the nearest to what is wanted first. */
export function Charts({ target, onTake }: { target: Lab; onTake: (target: Target) => void }) {
  const { facts } = usePlan();
  const { save, remove } = useSaving();
  const [chosen, setChosen] = useState(facts.charts[0]?.id ?? '');
  const [words, setWords] = useState('');
  const [read, setRead] = useState<{ readonly file: string; readonly chart: ReadChart } | null>(null);
  const chart = facts.charts.find(({ id }) => id === chosen) ?? facts.charts[0];
  const bring = async (file: File) => {
    const own = readChart(await file.text());
    setRead({ file: file.name, chart: own });
    if (own.colours.length === 0) return;
    const id = newId();
    const name = (own.name ?? file.name.replace(/\.[^.]+$/, '')).slice(0, 80);
    const kept = await save('charts', { id, name, colours: [...own.colours] }, `${name}: ${counted(own.colours.length, 'colour')}.`);
    if (kept) setChosen(id);
  };
  return (
    <div className="mt-2 space-y-3">
      {chart && (
        <>
          <div className="flex flex-wrap items-end gap-3">
            <SmallSelect
              label="chart"
              width="!w-56"
              value={chart.id}
              options={facts.charts.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={setChosen}
            />
            <SmallField label="a name in it, or the nearest are shown" width="!w-56" value={words} onText={setWords} />
            <ChartFiles chart={chart} />
            <RemoveButton what={chart.name} onRemove={() => void remove('charts', chart.id, `${chart.name}: taken out.`)} />
          </div>
          <ul className="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {shownOf(chart, words, target).map(({ name, lab }) => (
              <li key={`${name} ${hexOf(lab)}`}>
                <button
                  type="button"
                  className="w-full border border-hairline p-2 text-left"
                  onClick={() => onTake({ name: `${name}, ${chart.name}`, lab })}
                >
                  <span aria-hidden className="block h-10 border border-[#8c8c8c]" style={{ background: hexOf(lab) }} />
                  <span className="block truncate font-[650]">{name}</span>
                  <span className="second block text-small">{besideText(lab, target)}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <FileField label="A chart from a GPL or CSV file" accept=".gpl,.csv,text/csv" onFile={(file) => void bring(file)} />
      <p className="second text-small">A CSV names its columns: name, and hex or l, a and b.</p>
      {read && <Problems file={read.file} chart={read.chart} />}
    </div>
  );
}

function ChartFiles({ chart }: { chart: Chart }) {
  const file = chart.name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  return (
    <span className="flex min-h-10 items-center gap-3">
      <a className="linklike" href={`data:text/plain;charset=utf-8,${encodeURIComponent(chartAsGpl(chart))}`} download={`${file}.gpl`}>
        as GPL
      </a>
      <a className="linklike" href={`data:text/csv;charset=utf-8,${encodeURIComponent(chartAsCsv(chart))}`} download={`${file}.csv`}>
        as CSV
      </a>
    </span>
  );
}

function Problems({ file, chart: { colours, problems } }: { file: string; chart: ReadChart }) {
  if (problems.length === 0 && colours.length > 0) return null;
  return (
    <div role="alert">
      <p className="font-[650]">
        {colours.length === 0
          ? `Nothing in ${file} could be read as a colour: a GPL palette, or a CSV with name and hex or l, a, b.`
          : `${counted(colours.length, 'colour')} taken from ${file}; ${counted(problems.length, 'line')} left out:`}
      </p>
      <ul className="text-small">
        {problems.slice(0, PROBLEMS_SHOWN).map(({ line, mend }) => (
          <li key={line}>
            line {line}: {mend}
          </li>
        ))}
      </ul>
    </div>
  );
}

function shownOf({ colours }: Chart, words: string, target: Lab): ChartColour[] {
  const wanted = words.trim().toLowerCase();
  return colours
    .filter(({ name }) => name.toLowerCase().includes(wanted))
    .sort((a, b) => colourDifference(a.lab, target) - colourDifference(b.lab, target))
    .slice(0, MOST_SHOWN);
}

function besideText(lab: Lab, target: Lab): string {
  return `${listed(besideWords(lab, target)) || 'as wanted'}, ΔE ${colourDifference(lab, target).toFixed(1)}`;
}
