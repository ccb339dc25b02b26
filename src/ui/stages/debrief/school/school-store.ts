// Schools that the account is in, and the one that is looked at.
import { toast } from "sonner";
import { create } from "zustand";
import type { HandInKind, Lesson, SchoolRole } from "@/core/school/school";
import type { HandIn, SetLesson } from "@/server/lessons";
import type { ListedShared, SharedDocument } from "@/server/school-documents";
import type { ListedSchool, SchoolMember } from "@/server/schools";
import { send } from "@/ui/kit/request";

/** A school as its member sees it. */
export interface School extends Omit<ListedSchool, "members"> {
  /** The account that looks. */
  readonly me: string;
  readonly members: readonly SchoolMember[];
  readonly lessons: readonly SetLesson[];
  readonly documents: readonly ListedShared[];
  readonly handIns: readonly HandIn[];
}

interface SchoolState {
  /** Null until they have come. */
  readonly schools: readonly ListedSchool[] | null;
  /** All that the account has handed in anywhere. */
  readonly own: readonly HandIn[];
  readonly school: School | null;
  /** Something handed in that is looked at, by its id. */
  readonly looked: string | null;
  /** A code to hand over: shown once. */
  readonly code: { readonly role: SchoolRole; readonly code: string } | null;
  readonly fault: string | null;
  readonly busy: boolean;
}

/** @see SchoolState */
export const useSchool = create<SchoolState>()(() => ({
  schools: null,
  own: [],
  school: null,
  looked: null,
  code: null,
  fault: null,
  busy: false,
}));

const set = useSchool.setState;
const words = (issues: readonly { readonly message: string }[]) => issues.map(({ message }) => message).join(" ");

/** Brings the schools; the one that was looked at, or the first. */
export async function loadSchools(id: string | null = useSchool.getState().school?.id ?? null): Promise<void> {
  const answer = await send<{ schools: ListedSchool[]; handIns: HandIn[] }>("GET", "/api/schools");
  if (!answer.ok) return set(({ schools }) => ({ schools: schools ?? [], fault: words(answer.issues) }));
  const { schools, handIns } = answer.value;
  set({ schools, own: handIns, fault: null });
  const wanted = schools.find((school) => school.id === id) ?? schools.at(0);
  if (!wanted) return set({ school: null });
  await openSchool(wanted.id);
}

/** Looks at a school. */
export async function openSchool(id: string): Promise<void> {
  const answer = await send<School>("GET", `/api/schools/${id}`);
  if (answer.ok)
    set(({ looked, school }) => ({ school: answer.value, looked: school?.id === id ? looked : null, fault: null }));
  else set({ fault: words(answer.issues) });
}

/** Does something of the school, tells what is refused, and looks again. @returns whether it was done */
async function doIt(
  method: "POST" | "PATCH" | "DELETE",
  path: string,
  body?: unknown,
  says?: string,
): Promise<boolean> {
  set({ busy: true });
  const answer = await send(method, path, body);
  set({ busy: false });
  if (!answer.ok) toast(words(answer.issues));
  else if (says) toast(says);
  await loadSchools();
  return answer.ok;
}

const here = () => `/api/schools/${useSchool.getState().school?.id ?? ""}`;

/** Founds a school. */
export async function found(name: string, as: string): Promise<void> {
  const answer = await send<{ id: string }>("POST", "/api/schools", { name, as });
  if (!answer.ok) return void toast(words(answer.issues));
  await loadSchools(answer.value.id);
}

/** Joins a school by its code. */
export async function join(code: string, as: string): Promise<boolean> {
  const answer = await send<{ id: string }>("POST", "/api/schools/join", { code, as });
  if (!answer.ok) {
    toast(words(answer.issues));
    return false;
  }
  await loadSchools(answer.value.id);
  return true;
}

/** Makes a code that lets somebody in. */
export async function invite(role: "instructor" | "student"): Promise<void> {
  const answer = await send<{ code: string }>("POST", `${here()}/codes`, { role });
  if (answer.ok) set({ code: { role, code: answer.value.code } });
  else toast(words(answer.issues));
}

/** Leaves, or takes a member out. */
export const takeOut = (accountId: string) => doIt("DELETE", `${here()}/members/${accountId}`);
/** Makes a member something else. */
export const giveRole = (accountId: string, role: SchoolRole) =>
  doIt("PATCH", `${here()}/members/${accountId}`, { role });
/** Ends the school for all. */
export const dissolve = () => doIt("DELETE", here());
/** Sets a lesson. */
export const giveLesson = (lesson: Lesson) => doIt("POST", `${here()}/lessons`, lesson, `“${lesson.name}” is set.`);
/** Withdraws a lesson. */
export const withdraw = (lessonId: string) => doIt("DELETE", `${here()}/lessons/${lessonId}`);
/** Hands something in; it is scored on the server. */
export const giveIn = (lessonId: string, exerciseId: string, kind: HandInKind, sourceId: string) =>
  doIt("POST", `${here()}/hand-ins`, { lessonId, exerciseId, kind, sourceId }, "It is scored and handed in.");
/** Takes back what nobody has signed. */
export const takeBack = (id: string) => doIt("DELETE", `/api/hand-ins/${id}`);
/** Signs what a student has handed in. */
export const sign = ({ accountId, id }: Pick<HandIn, "accountId" | "id">, good: boolean, says: string) =>
  doIt("PATCH", `${here()}/hand-ins/${accountId}/${id}`, { good, words: says });
/** Puts a copy of a document into the school. */
export const share = (document: SharedDocument) =>
  doIt("POST", `${here()}/documents`, document, "It is in the school.");
/** Takes it away from there. */
export const unshare = (id: string) => doIt("DELETE", `${here()}/documents/${id}`);
/** Takes a copy into one's own library. */
export const takeCopy = (id: string) =>
  doIt("POST", `${here()}/documents/${id}`, undefined, "A copy is in your library.");
