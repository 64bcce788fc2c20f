/// <reference lib="webworker" />

/** One stream of changes for all tabs: a browser opens six connections to one host at most, and each tab's stream would take one. */

const ports: MessagePort[] = [];
let latest: string | null = null;

const source = new EventSource('/api/changes');
source.onmessage = ({ data }) => {
  latest = data;
  for (const port of ports) port.postMessage(data);
};

(self as unknown as SharedWorkerGlobalScope).onconnect = ({ ports: [port] }) => {
  ports.push(port);
  if (latest !== null) port.postMessage(latest);
};
