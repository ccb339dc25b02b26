// The whole of a flight as one row of numbers, so that it is copied, kept and compared at once. Where each number
// stands. One by one and not counted: the machine folds them into what reads them.

/** Position from the origin, m; velocity over the ground in body axes, m/s; attitude; rates, rad/s. */
export const NORTH = 0;
export const EAST = 1;
export const DOWN = 2;
export const U = 3;
export const V = 4;
export const W = 5;
export const Q0 = 6;
export const Q1 = 7;
export const Q2 = 8;
export const Q3 = 9;
export const P = 10;
export const Q = 11;
export const R = 12;
/** Share of the flow that is attached, left and right half. */
export const ATTACHED_LEFT = 13;
export const ATTACHED_RIGHT = 14;
/** In their place, of a rotor: how far its disc is tilted from the mast, forward and to the right, rad. */
export const TILT_FORWARD = 13;
export const TILT_RIGHT = 14;
/** Numbers that the equations of motion are integrated over. */
export const MOTION = 15;

/** Flap as an index that moves, gear 0 up … 1 down. */
export const FLAP_AT = 15;
export const GEAR_AT = 16;
/** Time since it began, s; fuel left, kg; turned while most of the wing is stalled, rad. */
export const TIME = 17;
export const FUEL_KG = 18;
export const STALLED_TURN = 19;
/** Gusts: filters of the three axes and roll, and the generator's number. */
export const GUST_U = 20;
export const GUST_V = 21;
export const GUST_W = 22;
export const GUST_P = 23;
export const RANDOM = 24;
/** True airspeed at the end of the last step, m/s: what engines and gusts go by in the next. */
export const TAS = 25;

/** Instruments, as they read. */
export const ASI = 26;
export const ALTIMETER = 27;
export const VSI = 28;
export const VSI_HEIGHT = 29;
export const TURN = 30;
export const BALL = 31;
export const BALL_RATE = 32;
export const GYRO_BANK = 33;
export const GYRO_PITCH = 34;
export const GYRO_OFF = 35;
export const HEADING_AT = 36;

/** Speed of a rotor over its nominal one; what it induces, m/s; time that it has carried nothing, s. */
export const NR = 37;
export const INFLOW = 38;
export const UNLOADED_S = 39;

/** Where the numbers of engine 0 begin, and how many an engine has. */
export const ENGINE = 40;
export const PER_ENGINE = 16;
/** Shaft rad/s, blade rad, induced m/s, combustion 0…1, seconds without fuel, ice 0…1, thrust N, torque N m. */
export const OMEGA = 0;
export const BLADE = 1;
export const INDUCED = 2;
export const BURN = 3;
export const DRY_S = 4;
export const ICE = 5;
export const THRUST = 6;
export const TORQUE = 7;
/** Of a turboshaft its power, W, stands in the torque's place. */
export const POWER = 7;
/** Gauges: manifold Pa, fuel flow kg/s, exhaust K, head K, oil Pa, oil K. */
export const MANIFOLD = 8;
export const FUEL_FLOW = 9;
export const EXHAUST = 10;
export const HEAD = 11;
export const OIL = 12;
export const OIL_HEAT = 13;
/** Of a turbine: its gas generator as a share of the lever, seconds that it has been cranked with fuel. */
export const GAS = 14;
export const CRANKED_S = 15;
/** Two engines at most. */
export const LENGTH = 72;
