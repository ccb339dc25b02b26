// An entry as it is told to others: nobody's name in it, not in its words either.
import type { LogbookEntry } from "./logbook-entry";

const escaped = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");

/**
 * The entry with everybody's role in place of his name, wherever the name stands as words of their own; parts of a
 * full name count alike. Sources, attachments and what a file was called are left out: they may name somebody.
 */
export function withoutNames(entry: LogbookEntry): LogbookEntry {
  const names = entry.people
    .flatMap(({ name, role }) => [name, ...name.split(/[\s,]+/u)].map((part) => ({ part: part.trim(), role })))
    // A single letter would strike half of the words.
    .filter(({ part }) => part.length > 1)
    .sort((a, b) => b.part.length - a.part.length);
  const struck = (text: string) =>
    names.reduce(
      (words, { part, role }) =>
        words.replaceAll(new RegExp(`(?<![\\p{L}\\p{N}])${escaped(part)}(?![\\p{L}\\p{N}])`, "giu"), `the ${role}`),
      text,
    );
  return {
    ...entry,
    name: struck(entry.name),
    causes: entry.causes.map((cause) => ({ ...cause, words: struck(cause.words) })),
    actions: entry.actions.map((action) => ({ ...action, words: struck(action.words) })),
    learnt: struck(entry.learnt),
    change: struck(entry.change),
    tags: entry.tags.map(struck),
    people: entry.people.map(({ role }) => ({ name: role, role })),
    sources: [],
  };
}
