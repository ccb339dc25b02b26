// Day or night: the system's choice until the user makes one, kept in the browser.

/** What the user can choose. */
export type Appearance = "system" | "day" | "night";

const KEY = "utrimax:appearance";

/** Run before the first paint, so that a night page never flashes white, and when the system turns to night or back. */
export const APPEARANCE_SCRIPT = `(function(){var m=matchMedia("(prefers-color-scheme: dark)");function s(){try{var a=localStorage.getItem("${KEY}")}catch(e){}var n=a==="night"||(a!=="day"&&m.matches);document.documentElement.dataset.appearance=n?"night":"day"}s();m.addEventListener("change",s)})()`;

/** What is shown now. */
export function shownAppearance(): "day" | "night" {
  return document.documentElement.dataset.appearance === "night" ? "night" : "day";
}

/** What the user chose in this browser. */
export function chosenAppearance(): Appearance {
  const stored = localStorage.getItem(KEY);
  return stored === "day" || stored === "night" ? stored : "system";
}

/** Keeps a choice and shows it. */
export function chooseAppearance(choice: Appearance): void {
  localStorage.setItem(KEY, choice);
  const night = choice === "night" || (choice === "system" && matchMedia("(prefers-color-scheme: dark)").matches);
  document.documentElement.dataset.appearance = night ? "night" : "day";
}

/** Calls back whenever day turns to night or back; returns the way to stop. */
export function onAppearance(changed: () => void): () => void {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributes: true, attributeFilter: ["data-appearance"] });
  return () => observer.disconnect();
}
