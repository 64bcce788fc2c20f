/** Dew point, the margin of the surface above it, and whether the air may be sprayed in. */

/**
 * Dew point in °C by the Magnus formula (trade §8).
 * @param airC air temperature, °C @param rh relative humidity, 1–100 %
 */
export function dewPoint(airC: number, rh: number): number {
  const gamma = Math.log(rh / 100) + (17.625 * airC) / (243.04 + airC);
  return (243.04 * gamma) / (17.625 - gamma);
}

export const LEAST_DEW_MARGIN = 3;

/** Surface of a part where it was not measured: air less 2 °C. */
export function assumedSurface(airC: number): number {
  return airC - 2;
}

export type DewAnswer = {
  readonly dewPointC: number;
  readonly surfaceC: number;
  readonly marginC: number;
  readonly verdict: 'sits' | 'stop';
  readonly because: string;
};

/** Whether a surface is far enough above the dew point to be coated: at least 3 °C. */
export function dewAnswer(airC: number, rh: number, surfaceC = assumedSurface(airC)): DewAnswer {
  const dewPointC = dewPoint(airC, rh);
  const marginC = surfaceC - dewPointC;
  const verdict = marginC >= LEAST_DEW_MARGIN ? 'sits' : 'stop';
  const because =
    verdict === 'sits'
      ? `The surface at ${surfaceC.toFixed(1)} °C is ${marginC.toFixed(1)} °C above the dew point of ${dewPointC.toFixed(1)} °C; 3 °C is enough.`
      : `The surface at ${surfaceC.toFixed(1)} °C is only ${marginC.toFixed(1)} °C above the dew point of ${dewPointC.toFixed(1)} °C; below 3 °C moisture settles on it. Warm the part or wait for drier air.`;
  return { dewPointC, surfaceC, marginC, verdict, because };
}
