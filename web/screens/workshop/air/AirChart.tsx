import { airAt, type AirVerdict, airVerdict, familyDrying, sprayRange } from '#core/drying/index';
import { localMoment } from '#core/units/index';
import { useMemo, useState } from 'react';
import { Area, ComposedChart, Line, ReferenceArea, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';

const HOURS = 60;

/** Temperature, humidity and the hours a lacquer may be sprayed, over the next days at the spray place. */
export function AirChart() {
  const { conditions, workshop, plan, facts } = usePlan();
  const [placeId, setPlaceId] = useState(workshop.sprayPlaceId);
  const [sheetId, setSheetId] = useState(facts.sheets[0]?.id ?? '');
  const sheet = facts.sheets.find((own) => own.id === sheetId);
  const words = useWords();
  const air = conditions[placeId] ?? conditions[workshop.sprayPlaceId];
  const { points, damp, blush } = useMemo(() => {
    const drying = familyDrying(sheet?.family ?? 'acrylic-lacquer');
    const range = sprayRange(drying.early ?? drying.mechanism, sheet?.family ?? 'acrylic-lacquer', sheet?.label);
    const series = Array.from({ length: HOURS }, (_, hour) => {
      const at = plan.now + hour * 60;
      const now = airAt(air, at);
      return {
        at,
        airC: round(now.airC),
        rh: round(now.rh),
        margin: round(now.dewMarginC),
        verdict: airVerdict(now, range).verdict,
      };
    });
    return { points: series, damp: stretchesOf(series, 'stop'), blush: stretchesOf(series, 'care') };
  }, [air, plan.now, sheet]);
  const ticks = points
    .map((point) => Math.round(point.at / 60) * 60)
    .filter((at) => localMoment(at, workshop.timeZone).minuteOfDay % 360 === 0);
  if (!air) return null;
  return (
    <figure className="mt-3">
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <label>
          <span className="second block text-small">Air of</span>
          <select className="field !min-h-9 !w-40" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
            {facts.places.map((place) => (
              <option key={place.id} value={place.id}>
                {place.name}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="second block text-small">Hours to spray</span>
          <select className="field !min-h-9 !w-60" value={sheetId} onChange={(event) => setSheetId(event.target.value)}>
            {facts.sheets.map((own) => (
              <option key={own.id} value={own.id}>
                {own.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <figcaption className="second text-small">
        {air.rests} Line: temperature. Dashed: dew margin, at least 3° to spray. Pale: humidity. Shaded: hours it should not be sprayed
        {damp.length === 0 ? ', none ahead' : ''}; lightly shaded: it may blush, mist coats then
        {blush.length === 0 ? ', none ahead' : ''}.
      </figcaption>
      <div className="mt-2 h-56">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={points} margin={{ top: 8, right: 8, bottom: 0, left: -14 }}>
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(at: number) => words.clock(at)}
              ticks={ticks}
              stroke="var(--second)"
              fontSize={13}
            />
            <YAxis yAxisId="c" domain={[0, 'dataMax + 4']} stroke="var(--second)" fontSize={13} unit="°" />
            <YAxis yAxisId="rh" orientation="right" domain={[0, 100]} stroke="var(--second)" fontSize={13} unit="%" width={48} />
            {blush.map((stretch) => (
              <ReferenceArea key={stretch.from} yAxisId="c" x1={stretch.from} x2={stretch.to} fill="var(--hairline)" fillOpacity={0.35} />
            ))}
            {damp.map((stretch) => (
              <ReferenceArea key={stretch.from} yAxisId="c" x1={stretch.from} x2={stretch.to} fill="var(--hairline)" fillOpacity={0.7} />
            ))}
            <ReferenceLine yAxisId="c" y={3} stroke="var(--second)" strokeDasharray="2 3" />
            <Area yAxisId="rh" dataKey="rh" stroke="var(--hairline)" fill="var(--quiet)" isAnimationActive={false} name="humidity %" />
            <Line yAxisId="c" dataKey="airC" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} name="air °C" />
            <Line
              yAxisId="c"
              dataKey="margin"
              stroke="var(--ink)"
              strokeDasharray="5 4"
              dot={false}
              isAnimationActive={false}
              name="dew margin °C"
            />
            <Tooltip
              labelFormatter={(at) => words.moment(Number(at))}
              contentStyle={{ background: 'var(--sheet)', border: '1px solid var(--ink)', borderRadius: 3, color: 'var(--text)' }}
              itemStyle={{ color: 'var(--text)' }}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

/** Hours in a row with this verdict, as stretches of time. */
function stretchesOf(series: readonly { at: number; verdict: AirVerdict['verdict'] }[], verdict: AirVerdict['verdict']) {
  const stretches: { from: number; to: number }[] = [];
  for (const point of series) {
    if (point.verdict !== verdict) continue;
    const last = stretches.at(-1);
    if (last && last.to === point.at) last.to = point.at + 60;
    else stretches.push({ from: point.at, to: point.at + 60 });
  }
  return stretches;
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
