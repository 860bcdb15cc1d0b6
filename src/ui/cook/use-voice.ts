"use client";
import { useEffect, useRef } from "react";

/** Two short tones, for what needs somebody, Hz and s. */
const BELL = { tones: [880, 660], each: 0.18 } as const;

function ring(): void {
  const sound = new AudioContext();
  BELL.tones.forEach((tone, k) => {
    const one = sound.createOscillator();
    const volume = sound.createGain();
    one.frequency.value = tone;
    volume.gain.value = 0.2;
    one.connect(volume).connect(sound.destination);
    one.start(sound.currentTime + k * BELL.each);
    one.stop(sound.currentTime + (k + 1) * BELL.each);
  });
  setTimeout(() => void sound.close(), 1000);
}

/**
 * Rings and says what is new: only what needs a person.
 * @param sentences what is wanted of somebody now, a line each
 */
export function useVoice(isOn: boolean, sentences: string): void {
  const said = useRef<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const lines = sentences.split("\n").filter((one) => one !== "");
    const fresh = lines.filter((one) => !said.current.has(one));
    said.current = new Set(lines);
    if (!isOn || fresh.length === 0) return;
    try {
      ring();
      speechSynthesis.cancel();
      speechSynthesis.speak(new SpeechSynthesisUtterance(fresh.join(". ")));
    } catch {
      // A browser without sound: it stands on the screen.
    }
  }, [isOn, sentences]);
}
