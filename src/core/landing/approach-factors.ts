// How fast a landing is flown over the stall speed with the flap that is out. Common practice of every handbook; 14 CFR
// 23.73 has 1.3.

/** Equivalent airspeed on the approach over the stall speed. */
export const APPROACH = 1.3;
/** Equivalent airspeed at touchdown over the stall speed. */
export const TOUCHDOWN = 1.1;
