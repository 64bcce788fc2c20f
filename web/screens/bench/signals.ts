/** Sound, notification and a screen that stays awake: niceties that may be refused by the browser. */

export function keepAwake(): () => void {
  let lock: { release: () => Promise<void> } | null = null;
  const wakeLock = (navigator as { wakeLock?: { request: (kind: 'screen') => Promise<{ release: () => Promise<void> }> } }).wakeLock;
  wakeLock
    ?.request('screen')
    .then((held) => {
      lock = held;
    })
    .catch(() => undefined);
  if ('Notification' in window && Notification.permission === 'default') void Notification.requestPermission();
  return () => void lock?.release();
}

/** Two short tones and, where allowed, a notification. */
export function ring(text: string): void {
  try {
    const audio = new AudioContext();
    for (const [start, pitch] of [
      [0, 660],
      [0.25, 880],
    ]) {
      const tone = audio.createOscillator();
      const level = audio.createGain();
      tone.frequency.value = pitch;
      level.gain.value = 0.08;
      tone.connect(level).connect(audio.destination);
      tone.start(audio.currentTime + start);
      tone.stop(audio.currentTime + start + 0.18);
    }
  } catch {
    // Without a sound device the screen alone tells.
  }
  if ('Notification' in window && Notification.permission === 'granted' && document.hidden) new Notification('Enamelos', { body: text });
}
