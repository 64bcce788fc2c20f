/** What the work itself took, waiting left out; empty: nobody looked at the clock. On a light page and at the dark bench alike. */
export function TookField({ typed, onTyped, problem }: { typed: string; onTyped: (text: string) => void; problem: string }) {
  return (
    <div>
      <label>
        <span className="mb-1 block">It took, minutes</span>
        <input
          autoComplete="off"
          maxLength={20}
          className="field !min-h-10 !w-28 text-right font-mono"
          value={typed}
          aria-invalid={problem !== ''}
          onChange={(event) => onTyped(event.target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="mt-1 max-w-60 font-[650]">
          {problem}
        </p>
      )}
    </div>
  );
}
