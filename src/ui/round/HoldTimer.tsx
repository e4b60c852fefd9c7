import { useEffect, useRef, useState } from 'react';
import { Button } from '../controls';

/** Counts the seconds a tool is held to a flower; buzzes, and beeps, at the end where the device can. */
export function HoldTimer({ seconds, verb, onDone }: { seconds: number; verb: string; onDone?: () => void }) {
  const [left, setLeft] = useState<number | null>(null);
  const timer = useRef<ReturnType<typeof setInterval> | null>(null);
  const stop = () => {
    if (timer.current) clearInterval(timer.current);
    timer.current = null;
  };
  useEffect(() => stop, []);
  const start = () => {
    stop();
    setLeft(seconds);
    navigator.vibrate?.(30);
    timer.current = setInterval(() => {
      setLeft((before) => {
        const next = (before ?? 1) - 1;
        if (next > 0) return next;
        stop();
        navigator.vibrate?.([60, 40, 60]);
        beep();
        onDone?.();
        return null;
      });
    }, 1000);
  };
  return (
    <Button
      title={left === null ? `${verb}: time ${seconds} s` : `${verb} … ${left}`}
      label={left === null ? `${verb}: start ${seconds} seconds` : `${left} seconds left`}
      small
      onPress={start}
    />
  );
}

function beep(): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    volume.gain.value = 0.15;
    tone.frequency.value = 880;
    tone.connect(volume).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.12);
    tone.onended = () => void audio.close();
  } catch {
    // No sound on this device: the count and the buzz serve.
  }
}
