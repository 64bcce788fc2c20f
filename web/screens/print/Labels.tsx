import type { Piece } from '#core/facts/index';
import { pictureUrl } from '../../api/pictures.ts';

/** Labels to cut out, one a bag, and under them the list that stays with the job sheet. */
export function Labels({ piece }: { piece: Piece }) {
  const bags = [...(piece.bags ?? [])].sort((a, b) => a.number - b.number);
  if (bags.length === 0) return <p className="sheet">No bags yet: number them under Survey, Taking apart.</p>;
  return (
    <div className="sheet">
      <h1>{piece.name}: bags</h1>
      <ul className="mt-4 grid grid-cols-3">
        {bags.map((bag) => (
          <li key={bag.id} className="break-inside-avoid border border-dashed border-second p-3">
            <span className="figure block !text-huge leading-none text-ink">{bag.number}</span>
            <span className="mt-1 block font-[650] text-ink">{piece.name}</span>
            <span className="block">{bag.contents}</span>
            {bag.from && <span className="second block text-small">from {bag.from}</span>}
            {bag.pictureId && <img src={pictureUrl(bag.pictureId)} alt="" className="mt-2 h-16 w-full object-cover grayscale" />}
          </li>
        ))}
      </ul>
      <table className="mt-6 w-full">
        <caption className="text-left font-[650] text-ink">List</caption>
        <tbody>
          {bags.map((bag) => (
            <tr key={bag.id} className="border-t border-hairline">
              <td className="figure py-1 pr-4">{bag.number}</td>
              <td>{bag.contents}</td>
              <td className="second">{bag.from}</td>
              <td className="w-24 text-right">☐ back in</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
