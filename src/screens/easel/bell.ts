/** Seconds that a stroke of the bell sounds for, and between the two strokes of it. */
const SOUNDS_FOR = 2.4;
const BETWEEN = 0.7;
/** A bell's partials: how high against the first, how loud, how long against it. */
const PARTIALS = [
  [1, 1, 1],
  [2, 0.5, 0.7],
  [2.76, 0.35, 0.5],
  [5.4, 0.2, 0.25],
] as const;
const PITCH = 622;
const LOUD = 0.35;
/** A bell whose time went by for no longer than this (milliseconds) rings at once: the lid was closed. */
const LATE = 10 * 60_000;

/** Rings at given times. They are laid down in the audio clock beforehand, which goes on while the page's timers sleep. */
export interface Bell {
  /** Takes what was laid down back and lays these down; `now` and the times are milliseconds since 1970. */
  ringAt: (times: readonly number[], now: number) => void;
  /** Has to be called from a touch or a key once: until then a browser lets nothing sound. */
  wake: () => Promise<void>;
  isAwake: () => boolean;
  close: () => void;
}

export function createBell(): Bell {
  const audio = new AudioContext();
  let laid: OscillatorNode[] = [];

  const stroke = (when: number) => {
    for (const [times, loud, long] of PARTIALS) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = PITCH * times;
      volume.gain.setValueAtTime(0, when);
      volume.gain.linearRampToValueAtTime(LOUD * loud, when + 0.005);
      volume.gain.exponentialRampToValueAtTime(0.0005, when + SOUNDS_FOR * long);
      tone.connect(volume).connect(audio.destination);
      tone.start(when);
      tone.stop(when + SOUNDS_FOR * long);
      laid.push(tone);
    }
  };

  return {
    ringAt(times, now) {
      for (const tone of laid) {
        tone.stop();
        tone.disconnect();
      }
      laid = [];
      for (const time of times) {
        if (time < now - LATE) continue;
        const when = audio.currentTime + Math.max(0, (time - now) / 1000);
        stroke(when);
        stroke(when + BETWEEN);
      }
    },
    wake: () => audio.resume(),
    isAwake: () => audio.state === 'running',
    close: () => void audio.close(),
  };
}
