/**
 * The CIE 1931 standard observer (2°) and daylight D65 in steps of 10 nm from 380 to 730 nm (CIE 15): what turns a reflectance
 * into a colour.
 */

export const FIRST_NM = 380;
export const STEP_NM = 10;

const X_BAR = [
  0.001368, 0.004243, 0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093, 0.06327,
  0.1655, 0.2904, 0.43345, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.85445, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.04677, 0.0227,
  0.011359, 0.00579, 0.002899, 0.00144,
];
const Y_BAR = [
  0.000039, 0.00012, 0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862, 0.954,
  0.99495, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.00821, 0.004102, 0.002091, 0.001047,
  0.00052,
];
const Z_BAR = [
  0.00645, 0.02005, 0.06785, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.81295, 0.46518, 0.272, 0.1582, 0.07825, 0.04216,
  0.0203, 0.00875, 0.0039, 0.0021, 0.00165, 0.0011, 0.0008, 0.00034, 0.00019, 0.00005, 0.00002, 0, 0, 0, 0, 0, 0, 0, 0, 0,
];
const D65 = [
  49.9755, 54.6482, 82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802, 104.79,
  107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992, 80.0268, 80.2146, 82.2778, 78.2842,
  69.7213, 71.6091, 74.349, 61.604, 69.8856,
];

export const BANDS = D65.length;

const LIGHT = D65.reduce((sum, power, band) => sum + power * Y_BAR[band], 0);
const weighted = (bar: readonly number[]) => Float64Array.from(bar, (value, band) => (value * D65[band]) / LIGHT);

/** What each band adds to X, Y and Z of a surface under D65; a perfect white has Y = 1. */
export const TO_X = weighted(X_BAR);
export const TO_Y = weighted(Y_BAR);
export const TO_Z = weighted(Z_BAR);

const sum = (values: Float64Array) => values.reduce((all, value) => all + value, 0);
/** The white that these bands add up to. */
export const WHITE = { x: sum(TO_X), y: sum(TO_Y), z: sum(TO_Z) } as const;
