// Flights with a known truth, apart from the core: a point mass with a parabolic polar in a wind that grows with height
// and gusts, flown by a pilot who rolls, waits and pulls as he is told. For measuring how well logs are understood.
// @see the equations of motion of a point mass in wind, in any textbook of flight mechanics; numbers of a light single

const G = 9.80665;
const RHO0 = 1.225;
const [MASS_KG, WING_M2, CD0_ON, CD0_OFF, K] = [1000, 16.5, 0.036, 0.05, 0.0617];
const STALL_MPS = 25.5;
const [CL0, CL_ALPHA] = [0.3, 4.6];
/** Steps a second. */
export const TRUTH_HZ = 20;
const DT = 1 / TRUTH_HZ;
const FIELD_M = 19;

/** Repeatable chance: Mulberry32. */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal deviates by Box and Muller. */
export function normal(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(Math.max(random(), 1e-12))) * Math.cos(2 * Math.PI * random());
}

/** One moment of the truth. */
export interface Moment {
  readonly t: number;
  readonly x: number;
  readonly y: number;
  readonly h: number;
  readonly tas: number;
  readonly heading: number;
  readonly bank: number;
  readonly pitch: number;
  readonly load: number;
  /** Share of full fuel flow. */
  readonly flow: number;
  readonly rpm: number;
  readonly onGround: boolean;
}

/** What was really flown. */
export interface Truth {
  readonly kind: Kind;
  readonly moments: readonly Moment[];
  readonly deviation_K: number;
  readonly takeOffs: readonly number[];
  readonly touchdowns: readonly { t: number; x: number; y: number }[];
  readonly cuts: readonly { t: number; idle: boolean; delay_s: number | null; h: number }[];
  readonly turns: readonly {
    from: number;
    to: number;
    bank: number;
    heading: number;
    h: number;
    energy: number;
    tas: number;
  }[];
  readonly glides: readonly { from: number; to: number; tas: number; sink: number }[];
  /** East and north at a height above the field. */
  readonly wind: (above_m: number) => readonly [number, number];
}

type Power = "full" | "off" | "idle" | { readonly height_m: number } | { readonly share: number };

/** One flight as it goes on. */
class Pilot {
  readonly moments: Moment[] = [];
  readonly takeOffs: number[] = [];
  readonly touchdowns: { t: number; x: number; y: number }[] = [];
  readonly cuts: { t: number; idle: boolean; delay_s: number | null; h: number }[] = [];
  readonly turns: Truth["turns"][number][] = [];
  readonly glides: Truth["glides"][number][] = [];
  t = 0;
  x = 0;
  y = 0;
  h = FIELD_M;
  v = 0;
  gamma = 0;
  bank = 0;
  ground = true;
  #gust = [0, 0, 0];
  #lift = 0;
  #flow = 0.05;
  #rpm = 700;
  #bump = 0;
  /** Attitude that is held; null while it flies as it is told. */
  #held: number | null = null;
  /** Slope of the path that is flown; null likewise. */
  #path: number | null = null;
  readonly sigma: number;

  constructor(
    public heading: number,
    readonly wind: Truth["wind"],
    readonly gust_mps: number,
    readonly rough: () => number,
    deviation_K: number,
  ) {
    this.sigma = 288.15 / (288.15 + deviation_K);
  }

  /** Airspeed along the nose of what stands on the ground: the wind's, from behind negative. */
  #standing(): number {
    const [east, north] = this.wind(0);
    return -(east * Math.sin(this.heading) + north * Math.cos(this.heading));
  }

  #stand(seconds: number): void {
    for (let k = 0; k < seconds * TRUTH_HZ; k += 1) {
      this.v = this.#standing();
      this.step(0, 0, "idle");
    }
    this.v = this.#standing();
  }

  /** Pitch at which the wing carries the weight in this flight. */
  #pitch(): number {
    if (this.ground) return 0.03;
    const cl =
      (MASS_KG * G) / Math.max((this.density / 2) * this.v ** 2 * WING_M2, 1) / Math.max(Math.cos(this.bank), 0.3);
    return this.gamma + (cl - CL0) / CL_ALPHA;
  }

  get density(): number {
    return RHO0 * this.sigma * Math.exp(-this.h / 9500);
  }

  /** Pull and fuel flow of a power; what holds a height also holds the speed. */
  #engine(power: Power, speed: number, drag: number): { thrust: number; flow: number } {
    const most = 2900 - 16.5 * this.v;
    if (power === "full") return { thrust: most, flow: 1 };
    if (power === "off") return { thrust: 0, flow: 0 };
    if (power === "idle") return { thrust: 60, flow: 0.2 };
    const weight = MASS_KG * G;
    const wanted = "share" in power ? power.share * weight : drag + (MASS_KG * (speed - this.v)) / 3;
    const thrust = Math.min(Math.max(wanted, 0.054 * weight), most);
    return { thrust, flow: 0.25 + 0.75 * (thrust / most) };
  }

  /** One step: a speed to hold, a bank to roll to, a power. */
  step(speed: number, bankTo: number, power: Power): void {
    const g = this.#gust;
    for (let i = 0; i < 3; i += 1)
      g[i] += (-g[i] / 4) * DT + this.gust_mps * (i === 2 ? 0.5 : 1) * Math.sqrt((2 * DT) / 4) * this.rough();
    this.#lift += (-this.#lift / 40) * DT + 0.25 * this.gust_mps * Math.sqrt((2 * DT) / 40) * this.rough();
    const q = (this.density / 2) * this.v ** 2;
    const off = power === "off" || power === "idle";
    const load = this.ground ? 0.4 : 1 / Math.max(Math.cos(this.bank), 0.3);
    const cl = this.ground ? 0.4 : (MASS_KG * G * load) / Math.max(q * WING_M2, 1);
    const drag = q * WING_M2 * ((off ? CD0_OFF : CD0_ON) + K * cl * cl);
    const { thrust, flow } = this.#engine(power, speed, drag);
    this.#flow += ((flow - this.#flow) / 0.8) * DT;
    this.#rpm += ((off ? (power === "off" ? 1150 : 1000) : 2400) - this.#rpm) * (DT / 1.5);
    const weight = MASS_KG * G;
    let wanted: number;
    if (this.ground) wanted = 0;
    else if (typeof power === "object" && "height_m" in power)
      wanted = Math.min(Math.max((power.height_m - this.h) * 0.012, -0.08), 0.08);
    else {
      const acceleration = Math.min(Math.max((speed - this.v) / 2.5, -2), 2);
      wanted = Math.min(Math.max((thrust - drag) / weight - acceleration / G, -0.4), 0.2);
    }
    const before = this.gamma;
    if (this.#path !== null) this.gamma = this.#path;
    else if (this.#held !== null) {
      const lift = q * WING_M2 * (CL0 + CL_ALPHA * (this.#held - this.gamma));
      this.gamma += ((G * (lift / weight - Math.cos(this.gamma))) / this.v) * DT;
    } else this.gamma += Math.min(Math.max((wanted - this.gamma) / 0.7, -0.35), 0.35) * DT;
    const friction = this.ground ? 0.04 * weight : 0;
    this.v += ((thrust - drag - friction) / MASS_KG - G * Math.sin(this.gamma)) * DT;
    this.v = Math.max(this.v, this.ground ? this.#standing() : 0);
    this.bank += Math.min(Math.max(bankTo - this.bank, -0.35 * DT), 0.35 * DT);
    if (!this.ground) this.heading += ((G * Math.tan(this.bank)) / Math.max(this.v, 10)) * DT;
    const [we, wn] = this.wind(Math.max(this.h - FIELD_M, 0));
    const air = this.ground ? 0 : 1;
    // A wheel keeps the runway; in the air the wind carries.
    const along = this.ground ? Math.max(this.v + we * Math.sin(this.heading) + wn * Math.cos(this.heading), 0) : 0;
    this.x +=
      (this.ground
        ? along * Math.sin(this.heading)
        : this.v * Math.cos(this.gamma) * Math.sin(this.heading) + we + g[0]) * DT;
    this.y +=
      (this.ground
        ? along * Math.cos(this.heading)
        : this.v * Math.cos(this.gamma) * Math.cos(this.heading) + wn + g[1]) * DT;
    this.h += (this.v * Math.sin(this.gamma) + air * (g[2] * 0.4 + this.#lift)) * DT;
    this.h = Math.max(this.h, FIELD_M);
    this.#bump = Math.max(this.#bump - DT * 4, 0);
    const normalLoad = (this.ground ? 1 : load) + ((this.gamma - before) / DT) * (this.v / G) + this.#bump;
    this.moments.push({
      t: this.t,
      x: this.x,
      y: this.y,
      h: this.h,
      tas: Math.hypot(this.v, air * 0.3 * g[0]),
      heading: this.heading,
      bank: this.bank,
      pitch: this.#held ?? this.#pitch(),
      load: normalLoad,
      flow: this.#flow,
      rpm: this.#rpm,
      onGround: this.ground,
    });
    this.t += DT;
  }

  /** For so long, or until. */
  fly(seconds: number, speed: number, bank: number, power: Power, until: () => boolean = () => false): void {
    for (let k = 0; k < seconds * TRUTH_HZ && !until(); k += 1) this.step(speed, bank, power);
  }

  takeOff(wait_s: number): void {
    this.#stand(wait_s);
    this.fly(60, 0, 0, "full", () => this.v > 1.25 * STALL_MPS);
    this.ground = false;
    this.fly(20, 37, 0, "full", () => this.h > FIELD_M + 0.05);
    this.takeOffs.push(this.t);
  }

  /** Turns through an angle at a bank, and keeps what it cost. */
  turn(angle: number, bank: number, speed: number, power: Power): void {
    const [from, start, h, energy] = [this.t, this.heading, this.h, this.h + this.v ** 2 / (2 * G)];
    const side = Math.sign(angle);
    let [sum, count] = [0, 0];
    const lead = () => (0.5 * (Math.abs(this.bank) / 0.35) * G * Math.tan(Math.abs(this.bank))) / this.v;
    this.fly(120, speed, side * bank, power, () => {
      sum += this.v;
      count += 1;
      return Math.abs(this.heading - start) >= Math.abs(angle) - lead() || this.h < FIELD_M + 15;
    });
    this.fly(8, speed, 0, power, () => Math.abs(this.bank) < 0.01);
    this.turns.push({
      from,
      to: this.t,
      bank,
      heading: Math.abs(this.heading - start),
      h: h - this.h,
      energy: energy - this.h - this.v ** 2 / (2 * G),
      tas: sum / Math.max(count, 1),
    });
  }

  cut(idle: boolean): void {
    this.cuts.push({ t: this.t, idle, delay_s: null, h: this.h - FIELD_M });
  }

  /** After a cut: so long the attitude is held, and the wing lifts less as the speed falls; then the nose goes down. */
  react(delay_s: number, idle: boolean): void {
    const held = this.#pitch();
    this.#held = held;
    this.fly(delay_s, this.v, 0, idle ? "idle" : "off");
    this.#held = null;
    const last = this.cuts[this.cuts.length - 1];
    this.cuts[this.cuts.length - 1] = { ...last, delay_s };
  }

  glide(seconds: number, speed: number, idle = false): void {
    this.fly(12, speed, 0, idle ? "idle" : "off", () => this.h < FIELD_M + 25);
    const [from, energy, distance] = [this.t, this.h + this.v ** 2 / (2 * G), this.t];
    let way = 0;
    this.fly(seconds, speed, 0, idle ? "idle" : "off", () => {
      way += this.v * DT;
      return this.h < FIELD_M + 25;
    });
    const time = this.t - distance;
    if (time > 30)
      this.glides.push({ from, to: this.t, tas: way / time, sink: (energy - this.h - this.v ** 2 / (2 * G)) / time });
  }

  /** Down to the ground, flared, touched, braked, stood. */
  land(speed: number, power: Power): void {
    this.fly(600, speed, 0, power, () => this.h < FIELD_M + 6);
    // The sink of the flare falls off by e in 1.6 s, to a touch at .4 m/s.
    let sink = -this.v * Math.sin(this.gamma);
    for (let k = 0; k < 30 * TRUTH_HZ && this.h > FIELD_M; k += 1) {
      sink += ((0.5 + 0.4 * (this.h - FIELD_M) - sink) / 0.7) * DT;
      this.#path = -sink / Math.max(this.v, 15);
      this.step(speed, 0, "idle");
    }
    this.#path = null;
    this.ground = true;
    this.gamma = 0;
    this.#bump = 0.7;
    this.touchdowns.push({ t: this.t, x: this.x, y: this.y });
    for (let k = 0; k < 60 * TRUTH_HZ && this.v > this.#standing() + 0.5; k += 1) {
      this.step(0, 0, "idle");
      this.v = Math.max(this.v - 1.9 * DT, this.#standing());
    }
    this.#stand(25);
  }

  truth(kind: Kind, deviation_K: number): Truth {
    const { moments, takeOffs, touchdowns, cuts, turns, glides, wind } = this;
    return { kind, moments, deviation_K, takeOffs, touchdowns, cuts, turns, glides, wind };
  }
}

/** What is flown. */
export type Kind = "turn back" | "spot" | "glides" | "no cut" | "forced landing" | "circles";
export const KINDS: readonly Kind[] = ["turn back", "spot", "glides", "no cut", "forced landing", "circles"];

/** A flight of a kind, by chance. */
export function truthFlight(kind: Kind, seed: number): Truth {
  const random = chance(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const deviation_K = between(-10, 20);
  const [from, speed] = [between(0, 2 * Math.PI), between(2, 10)];
  const wind = (above: number): readonly [number, number] => {
    const grown = (Math.min(Math.max(above, 3), 300) / 10) ** (1 / 7);
    return [-speed * 0.75 * grown * Math.sin(from), -speed * 0.75 * grown * Math.cos(from)];
  };
  const heading = between(0, 2 * Math.PI);
  const pilot = new Pilot(heading, wind, between(0.3, 1), normal(random), deviation_K);
  const side = random() < 0.5 ? -1 : 1;
  const vg = between(31, 35);
  pilot.takeOff(between(12, 20));
  const climb = (to_m: number) => pilot.fly(500, 37, 0, "full", () => pilot.h > FIELD_M + to_m);
  const level = (seconds: number, v = 45) => pilot.fly(seconds, v, 0, { height_m: pilot.h });
  if (kind === "turn back") {
    climb(between(220, 360));
    pilot.cut(false);
    pilot.react(between(1.5, 6), false);
    pilot.fly(between(0.5, 3), vg, 0, "off");
    const bank = between(0.5, 0.85);
    pilot.turn(side * between(3.2, 3.8), bank, vg * Math.sqrt(1 / Math.cos(bank)) * 0.97, "off");
    pilot.land(vg, "off");
  } else if (kind === "spot") {
    climb(between(230, 320));
    pilot.turn((side * Math.PI) / 2, 0.45, 38, "full");
    level(15, 40);
    pilot.turn((side * Math.PI) / 2, 0.45, 42, { height_m: pilot.h });
    level(between(25, 45), 42);
    pilot.cut(true);
    pilot.react(between(1.5, 4), true);
    pilot.fly(between(6, 14), vg, 0, "idle");
    pilot.turn(side * Math.PI, between(0.33, 0.5), vg * 1.03, "idle");
    pilot.land(vg, "idle");
  } else if (kind === "glides") {
    climb(between(650, 900));
    for (let k = 0; k < 3; k += 1) {
      level(between(15, 30), 42);
      pilot.cut(false);
      pilot.react(between(1, 4), false);
      pilot.glide(between(40, 65), between(29, 44));
      pilot.fly(4, 36, 0, "full");
      pilot.turn(side * Math.PI, between(0.4, 0.55), 38, "full");
      climb(between(600, 900));
    }
    pilot.fly(900, 42, 0, { share: 0.062 }, () => pilot.h < FIELD_M + 60);
    pilot.land(36, { share: 0.062 });
  } else if (kind === "no cut") {
    climb(between(250, 500));
    for (let k = 0; k < 4; k += 1) {
      level(between(20, 60), between(40, 50));
      pilot.turn(side * between(1.2, 3.2), between(0.3, 0.7), 44, { height_m: pilot.h });
    }
    pilot.fly(900, 40, 0, { share: 0.062 }, () => pilot.h < FIELD_M + 60);
    pilot.land(36, { share: 0.062 });
  } else if (kind === "forced landing") {
    climb(between(450, 800));
    level(between(30, 60), 46);
    pilot.cut(random() < 0.4);
    const idle = pilot.cuts[0].idle;
    pilot.react(between(2, 6), idle);
    pilot.fly(12, vg, 0, idle ? "idle" : "off");
    pilot.turn(side * between(1.2, 4), between(0.4, 0.75), vg * 1.05, idle ? "idle" : "off");
    pilot.glide(45, vg, idle);
    pilot.land(vg, idle ? "idle" : "off");
  } else {
    climb(between(400, 700));
    level(30, 42);
    pilot.turn(side * 4 * Math.PI, between(0.35, 0.55), 42, { height_m: pilot.h });
    level(20, 42);
    pilot.turn(-side * 2 * Math.PI, between(0.35, 0.55), 42, { height_m: pilot.h });
    pilot.fly(900, 40, 0, { share: 0.062 }, () => pilot.h < FIELD_M + 60);
    pilot.land(36, { share: 0.062 });
  }
  return pilot.truth(kind, deviation_K);
}
