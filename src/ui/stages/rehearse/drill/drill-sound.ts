// Warnings as they sound: a bell for fire, two tones for the rest. Made by the browser, no file.
let context: AudioContext | null = null;

/** A struck bell: partials of a bell that die away. */
const BELL = [1, 2.0, 2.4, 3.0, 4.5];

function tone(hz: number, from_s: number, length_s: number, volume: number): void {
  if (!context) return;
  const gain = context.createGain();
  const oscillator = context.createOscillator();
  const start = context.currentTime + from_s;
  oscillator.frequency.value = hz;
  gain.gain.setValueAtTime(volume, start);
  gain.gain.exponentialRampToValueAtTime(0.0001, start + length_s);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start(start);
  oscillator.stop(start + length_s);
}

/** Sounds a warning for about two seconds; a browser without sound stays silent. */
export function soundWarning(name: string): void {
  if (typeof AudioContext === "undefined") return;
  context ??= new AudioContext();
  void context.resume();
  for (let stroke = 0; stroke < 4; stroke += 1)
    if (name === "fire") for (const partial of BELL) tone(620 * partial, stroke * 0.45, 0.6, 0.12 / partial);
    else tone(stroke % 2 === 0 ? 880 : 660, stroke * 0.4, 0.35, 0.1);
}

/** A call by height: one soft tone. */
export function soundCall(): void {
  if (typeof AudioContext === "undefined") return;
  context ??= new AudioContext();
  tone(520, 0, 0.25, 0.08);
}
