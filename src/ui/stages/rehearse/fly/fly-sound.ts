// What is heard in flight: the engines' note, the wind, the stall warning, the gear horn. Made by the browser, no file.
import type { FlightView } from "@/core/simulation/flight-view";
import { ROTOR_LIMITS } from "./flown-words";

interface Voices {
  readonly context: AudioContext;
  readonly engines: readonly { readonly tone: OscillatorNode; readonly gain: GainNode }[];
  readonly wind: GainNode;
  readonly stall: GainNode;
  readonly horn: GainNode;
}

let voices: Voices | null = null;

/** Firings a turn of a four-cylinder engine. */
const FIRINGS = 2;
/** Beats a turn of a rotor. */
const BLADES = 4;
/** A warning horn for a wheel that is up while the throttle is shut, slower than this, m/s. */
const HORN_MPS = 55;

function voice(context: AudioContext, type: OscillatorType, hz: number): GainNode {
  const gain = context.createGain();
  gain.gain.value = 0;
  const tone = context.createOscillator();
  tone.type = type;
  tone.frequency.value = hz;
  tone.connect(gain).connect(context.destination);
  tone.start();
  return gain;
}

function made(count: number): Voices {
  const context = new AudioContext();
  const engines = Array.from({ length: count }, () => {
    const gain = context.createGain();
    gain.gain.value = 0;
    const tone = context.createOscillator();
    tone.type = "sawtooth";
    const low = context.createBiquadFilter();
    low.type = "lowpass";
    low.frequency.value = 420;
    tone.connect(low).connect(gain).connect(context.destination);
    tone.start();
    return { tone, gain };
  });
  const noise = context.createBuffer(1, context.sampleRate * 2, context.sampleRate);
  const samples = noise.getChannelData(0);
  for (let i = 0; i < samples.length; i += 1) samples[i] = Math.random() * 2 - 1;
  const source = context.createBufferSource();
  source.buffer = noise;
  source.loop = true;
  const band = context.createBiquadFilter();
  band.type = "bandpass";
  band.frequency.value = 700;
  const wind = context.createGain();
  wind.gain.value = 0;
  source.connect(band).connect(wind).connect(context.destination);
  source.start();
  return { context, engines, wind, stall: voice(context, "square", 880), horn: voice(context, "square", 440) };
}

/** Sounds as it flies; silent with null, and where there is no sound. */
export function soundFlight(view: FlightView | null): void {
  if (typeof AudioContext === "undefined") return;
  if (!view) {
    void voices?.context.suspend();
    return;
  }
  if (voices && voices.engines.length !== view.engines.length) {
    void voices.context.close();
    voices = null;
  }
  voices ??= made(view.engines.length);
  const { context, engines, wind, stall, horn } = voices;
  void context.resume();
  const soon = (gain: AudioParam, value: number) => gain.setTargetAtTime(value, context.currentTime, 0.05);
  // Of a helicopter its blades are heard.
  const driven = view.rotor?.clock ? view.rotor : null;
  view.engines.forEach(({ rpm, burns }, i) => {
    const hz = driven ? (driven.rpm / 60) * BLADES : (rpm / 60) * FIRINGS;
    soon(engines[i].tone.frequency, Math.max(20, hz));
    const power = Math.max(0, view.controls[4 + i] ?? 0) / 127;
    soon(engines[i].gain.gain, rpm < 60 && !driven ? 0 : burns ? 0.02 + 0.05 * power : 0.008);
  });
  soon(wind.gain, Math.min(0.12, (view.tas_mps / 90) ** 2 * 0.12));
  const slow = driven && !view.onGround && driven.nr < ROTOR_LIMITS.low;
  soon(stall.gain, view.stallWarning || slow ? 0.04 : 0);
  const up =
    view.gearAt < 0.5 && view.ias_mps < HORN_MPS && view.engines.every((_, i) => (view.controls[4 + i] ?? 0) < 20);
  // Half a second on, half a second off.
  soon(horn.gain, up && !view.onGround && Math.floor(view.time_s * 2) % 2 === 0 ? 0.03 : 0);
}
