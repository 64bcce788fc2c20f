import { Dialog } from 'radix-ui';
import type { Question } from './conflictQuestion.ts';

/** Two versions of one thing: what differs, and which of them stands. */
export function ConflictDialog({ question: { name, conflicts, answer } }: { question: Question }) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && answer('theirs')}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content className="sheet fixed top-24 left-1/2 max-h-[70dvh] w-[720px] max-w-[94vw] -translate-x-1/2 overflow-auto">
          <Dialog.Title>{name} was changed elsewhere too</Dialog.Title>
          <Dialog.Description className="mt-2">
            Everything that goes together is kept. Here both say something else: choose which stands.
          </Dialog.Description>
          <table className="mt-4 w-full text-left">
            <thead>
              <tr className="second">
                <th className="py-1 pr-4 font-[400]">Where</th>
                <th className="py-1 pr-4 font-[400]">Here, now</th>
                <th className="py-1 font-[400]">Elsewhere</th>
              </tr>
            </thead>
            <tbody>
              {conflicts.map(({ where, mine, theirs }) => (
                <tr key={where} className="border-t border-hairline align-top">
                  <th scope="row" className="py-2 pr-4 font-[650]">
                    {where}
                  </th>
                  <td className="py-2 pr-4 break-words">{mine}</td>
                  <td className="py-2 break-words">{theirs}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="mt-5 flex flex-wrap gap-3">
            <button type="button" className="act" data-first="true" onClick={() => answer('mine')}>
              What is here stands
            </button>
            <button type="button" className="act" onClick={() => answer('theirs')}>
              What is elsewhere stands
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
