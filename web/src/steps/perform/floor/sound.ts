import type { Phase } from '../run';
import { tell } from './tell';

/** Tones are put on the audio clock ahead of time; speech is asked for when its phase begins. */
export type Sound = {
  unlock: () => void;
  /** A tone when a phase begins, `inSeconds` from now. */
  schedule: (key: number, phase: Phase, inSeconds: number) => void;
  forget: () => void;
  speak: (text: string) => void;
  setMuted: (muted: boolean) => void;
  close: () => void;
};

const PITCH: Record<string, number> = { PRESS: 392, PULL: 587, HANDS_OFF: 659, SETTLE: 262, SUPPORTED_HOLD: 294 };
const USUAL_PITCH = 440;
const TONE_SECONDS = 0.16;
// Far below what can be heard; a page that plays something is not slowed down while it is hidden.
const HUM = { frequency: 30, gain: 0.0003 };

export function makeSound(): Sound {
  let context: AudioContext | null = null;
  let muted = false;
  const planned = new Map<number, OscillatorNode>();

  const unlock = () => {
    if (typeof AudioContext === 'undefined') return;
    context ??= humming();
    void context.resume();
  };
  const humming = () => {
    const fresh = new AudioContext();
    const hum = new OscillatorNode(fresh, { frequency: HUM.frequency });
    hum.connect(new GainNode(fresh, { gain: HUM.gain })).connect(fresh.destination);
    hum.start();
    return fresh;
  };
  const tone = (at: number, pitch: number): OscillatorNode | null => {
    if (!context) return null;
    const oscillator = new OscillatorNode(context, { frequency: pitch, type: 'triangle' });
    const gain = new GainNode(context, { gain: 0 });
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(0.5, at + 0.015);
    gain.gain.exponentialRampToValueAtTime(0.001, at + TONE_SECONDS);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start(at);
    oscillator.stop(at + TONE_SECONDS);
    return oscillator;
  };
  const forget = () => {
    planned.forEach((oscillator) => oscillator.stop());
    planned.clear();
  };
  return {
    unlock,
    forget,
    schedule: (key, phase, inSeconds) => {
      if (muted || !context || planned.has(key)) return;
      const oscillator = tone(context.currentTime + Math.max(0, inSeconds), PITCH[phase.block] ?? USUAL_PITCH);
      if (!oscillator) return;
      planned.set(key, oscillator);
      oscillator.onended = () => planned.delete(key);
      tell('tone', { second: phase.startSecond, at: performance.now() + inSeconds * 1000 });
    },
    speak: (text) => {
      tell('speak', { text });
      if (muted || !('speechSynthesis' in window)) return;
      // Only a voice on the device: no text leaves it.
      const voice = speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en'));
      if (!voice) return;
      speechSynthesis.cancel();
      const utterance = new SpeechSynthesisUtterance(text);
      utterance.voice = voice;
      speechSynthesis.speak(utterance);
    },
    setMuted: (to) => {
      muted = to;
      if (to) {
        forget();
        if ('speechSynthesis' in window) speechSynthesis.cancel();
      }
    },
    close: () => {
      forget();
      void context?.close();
      context = null;
    },
  };
}
