// Heights of an approach on one engine.

/** Left over the ground at the lowest point, m (50 ft). Common practice. */
export const LEFT_M = 15.24;
/** Gear at the usual place: abeam at 1,000 ft; late: when landing is assured, 300 ft. Common practice. */
export const USUAL_M = 304.8;
/** @see USUAL_M */
export const LATE_M = 91.44;
