/** Hears how many writes the workshop has seen, whenever another tab or a sensor has made one. Returns how to stop. */
export function watchChanges(onCount: (count: number) => void): () => void {
  return typeof SharedWorker === 'undefined' ? whileShown(onCount) : throughSharedWorker(onCount);
}

function throughSharedWorker(onCount: (count: number) => void): () => void {
  const { port } = new SharedWorker(new URL('../workers/changes.shared.ts', import.meta.url), { type: 'module', name: 'enamelos-changes' });
  port.onmessage = ({ data }) => onCount(Number(data));
  return () => port.close();
}

/** A hidden page lets its stream go; the first word after its return says whether it missed anything. */
function whileShown(onCount: (count: number) => void): () => void {
  let source: EventSource | null = null;
  const follow = () => {
    if (document.hidden) {
      source?.close();
      source = null;
    } else if (!source) {
      source = new EventSource('/api/changes');
      source.onmessage = ({ data }) => onCount(Number(data));
    }
  };
  follow();
  document.addEventListener('visibilitychange', follow);
  return () => {
    document.removeEventListener('visibilitychange', follow);
    source?.close();
  };
}
