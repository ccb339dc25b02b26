// Announces one step of the set-up and how long it took.

/**
 * @template T
 * @param {string} title - what is being done, in a few words
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function step(title, work) {
  const began = performance.now();
  process.stdout.write(`· ${title} …\n`);
  try {
    const result = await work();
    process.stdout.write(`  ${title}: ${((performance.now() - began) / 1000).toFixed(1)} s\n`);
    return result;
  } catch (error) {
    process.stdout.write(`  ${title}: failed after ${((performance.now() - began) / 1000).toFixed(1)} s\n`);
    throw error;
  }
}
