"use client";
import { Plus } from "lucide-react";
import { useEffect, useState } from "react";
import { mayDo } from "@/core/school/school";
import { Segments } from "@/ui/kit/forms/Segments";
import { ClassPanel } from "./ClassPanel";
import { LessonsPanel } from "./LessonsPanel";
import { MembersPanel } from "./MembersPanel";
import { OwnHandIns } from "./OwnHandIns";
import { SchoolDoor } from "./SchoolDoor";
import { SharedPanel } from "./SharedPanel";
import { loadSchools, openSchool, useSchool } from "./school-store";

type Part = "class" | "lessons" | "shared" | "members" | "own";

/** Schools: a class and its lessons for who teaches; lessons and what is handed in for who learns. */
export function SchoolView() {
  const { schools, school, fault } = useSchool();
  const [door, setDoor] = useState(false);
  const [part, setPart] = useState<Part | null>(null);
  useEffect(() => {
    void loadSchools();
  }, []);
  if (schools === null) return <p className="p-5 text-ink2">Fetching …</p>;
  const teaches = school !== null && mayDo(school.role, "read everybody");
  const parts: readonly (readonly [Part, string])[] = [
    ...(teaches ? [["class", "Class"] as const] : []),
    ["lessons", "Lessons"],
    ["shared", "In common"],
    ["members", "Members"],
    ["own", "My results"],
  ];
  const now = parts.find(([name]) => name === part)?.[0] ?? parts[0][0];
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <div className={schools.length > 0 ? "flex flex-wrap items-center gap-2 border-b border-rule px-4 py-1.5" : ""}>
        {schools.length > 0 && (
          <label className="text-sm text-ink2">
            <span className="sr-only">School</span>
            <select
              className="field w-52"
              value={school?.id ?? ""}
              onChange={(event) => void openSchool(event.currentTarget.value)}
            >
              {schools.map(({ id, name, role }) => (
                <option key={id} value={id}>
                  {name}, {role}
                </option>
              ))}
            </select>
          </label>
        )}
        {school && !door && <Segments label="Parts of the school" value={now} parts={parts} onChange={setPart} />}
        {schools.length > 0 && (
          <button
            type="button"
            className="btn btn-quiet ml-auto px-2"
            aria-label="Found or join another school"
            aria-pressed={door}
            onClick={() => setDoor(!door)}
          >
            <Plus size={17} aria-hidden="true" />
          </button>
        )}
      </div>
      <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="School">
        {fault !== null && <p className="text-brick">{fault}</p>}
        {!school || door ? (
          <SchoolDoor onDone={() => setDoor(false)} />
        ) : now === "class" ? (
          <ClassPanel school={school} />
        ) : now === "lessons" ? (
          <LessonsPanel school={school} />
        ) : now === "shared" ? (
          <SharedPanel school={school} />
        ) : now === "members" ? (
          <MembersPanel school={school} />
        ) : (
          <OwnHandIns />
        )}
      </div>
    </div>
  );
}
