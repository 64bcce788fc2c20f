import { useId } from 'react';

/** Three letters of every currency the browser can name; the usual ones first. */
const USUAL = ['EUR', 'USD', 'GBP', 'CHF', 'CAD', 'AUD', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'NZD'];
/** Money is kept in hundredths; currencies without them, or with thousandths, would be shown wrongly. */
const WITHOUT_HUNDREDTHS = new Set([
  'BHD',
  'IQD',
  'JOD',
  'KWD',
  'LYD',
  'OMR',
  'TND',
  'BIF',
  'CLP',
  'DJF',
  'GNF',
  'ISK',
  'JPY',
  'KMF',
  'KRW',
  'PYG',
  'RWF',
  'UGX',
  'VND',
  'VUV',
  'XAF',
  'XOF',
  'XPF',
]);

function all(): string[] {
  const known = Intl.supportedValuesOf('currency').filter((code) => !WITHOUT_HUNDREDTHS.has(code));
  return [...USUAL, ...known.filter((code) => !USUAL.includes(code))];
}

/** What all money of the workshop is in. */
export function CurrencyField({ value, onChange }: { value: string; onChange: (currency: string) => void }) {
  const id = useId();
  const codes = all();
  const names = new Intl.DisplayNames('en', { type: 'currency' });
  return (
    <div>
      <label htmlFor={id} className="mb-2 block font-[650] text-ink">
        Money
      </label>
      <select id={id} className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        {(codes.includes(value) ? codes : [value, ...codes]).map((code) => (
          <option key={code} value={code}>
            {code}, {names.of(code)}
          </option>
        ))}
      </select>
    </div>
  );
}
