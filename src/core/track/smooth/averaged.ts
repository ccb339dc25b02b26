/** Mean of a column over a time to each side, at every fix. */
export function averaged(time_s: Float64Array, values: Float64Array, about_s: number): Float64Array {
  const out = new Float64Array(values.length);
  let [low, high, sum] = [0, 0, 0];
  for (let i = 0; i < values.length; i += 1) {
    while (high < values.length && time_s[high] <= time_s[i] + about_s) {
      sum += values[high];
      high += 1;
    }
    while (time_s[low] < time_s[i] - about_s) {
      sum -= values[low];
      low += 1;
    }
    out[i] = sum / (high - low);
  }
  return out;
}

/** A column without gaps: what is not known is as it was before, at the beginning as it is first. */
export function filled(values: Float64Array): Float64Array {
  const out = values.slice();
  let last = 0;
  for (let i = 0; i < out.length; i += 1)
    if (Number.isFinite(out[i])) {
      last = out[i];
      break;
    }
  for (let i = 0; i < out.length; i += 1) {
    if (Number.isFinite(out[i])) last = out[i];
    else out[i] = last;
  }
  return out;
}
