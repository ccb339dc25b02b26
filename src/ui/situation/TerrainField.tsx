"use client";
import { Trash2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { LatLon } from "@/core/earth/geodesic";
import { formatNumber } from "@/core/quantities/units";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { type Answer, send, sendRaw } from "@/ui/kit/request";
import { useWorkspace } from "@/ui/library/workspace";
import { readTerrainFiles } from "@/workers/terrain-client";
import type { PackedFiles } from "@/workers/terrain.worker";
import { useSituation } from "./situation-store";

const MB = 1024 * 1024;
/** Of all files together; a tile of 1″ has 26 MB. */
const LIMIT = 400 * MB;
const latitudeCheck = checkBy(LatLon.shape.latitude_deg);
const longitudeCheck = checkBy(LatLon.shape.longitude_deg);

const say = (issues: readonly { readonly message: string }[]) => toast(issues.map(({ message }) => message).join(" "));

/** What a terrain lacks, in words; what it has goes without saying. */
function lackOf({ holes, missing, coarser, frame }: PackedFiles): string {
  return [
    coarser > 1 &&
      `A cell is ${formatNumber(frame.cell_m)} m wide and holds the highest of ${coarser} × ${coarser} points.`,
    missing.length > 0 && `No tile covers ${missing.slice(0, 6).join(", ")}${missing.length > 6 ? " …" : ""}.`,
    holes > 0.001 &&
      `For ${Math.max(1, Math.round(holes * 100))} % of the area nothing is known: ways there are not checked.`,
  ]
    .filter(Boolean)
    .join(" ");
}

/** Terrain of one's own: tiles in degrees, several joined, or an ASCII grid. */
export function TerrainField() {
  const { library } = useWorkspace();
  const router = useRouter();
  const position = useSituation((state) => state.current.position);
  const change = useSituation((state) => state.change);
  const [inMetres, setInMetres] = useState(false);
  const [origin, setOrigin] = useState(position);
  const [progress, setProgress] = useState<{ readonly share: number; readonly what: string } | null>(null);
  const cancel = useRef<AbortController | null>(null);
  const own = library.terrains.filter((terrain) => !terrain.shared);

  const upload = async (files: readonly File[]) => {
    const size = files.reduce((sum, file) => sum + file.size, 0);
    if (size > LIMIT)
      return toast(
        `These files have ${Math.round(size / MB)} MB; at most ${LIMIT / MB} MB are read at once. Nothing was read.`,
      );
    setProgress({ share: 0, what: files[0].name });
    const control = new AbortController();
    cancel.current = control;
    try {
      const read = await readTerrainFiles(
        files,
        inMetres ? origin : null,
        (share, what) => setProgress({ share, what }),
        control.signal,
      );
      if (!read.ok) return say([read.issue]);
      const { frame, packed } = read.value;
      const { origin: middle, ...grid } = frame;
      const query = new URLSearchParams({
        name: nameOf(files),
        ...Object.fromEntries(Object.entries({ ...middle, ...grid }).map(([key, value]) => [key, String(value)])),
      });
      const answer: Answer<{ id: string }> = await sendRaw("POST", `/api/terrains?${query}`, packed, {
        type: "application/gzip",
      });
      if (!answer.ok) return say(answer.issues);
      router.refresh();
      change({ terrainId: answer.value.id });
      toast(`The terrain is in use. ${lackOf(read.value)}`.trim());
    } catch {
      if (!control.signal.aborted) toast("The files could not be read. Nothing was stored.");
    } finally {
      setProgress(null);
    }
  };
  const remove = async (id: string) => {
    const answer = await send("DELETE", `/api/terrains/${id}`);
    if (!answer.ok) return say(answer.issues);
    change((current) => (current.terrainId === id ? { terrainId: null } : {}));
    router.refresh();
  };

  return (
    <section className="mt-5 border-t border-rule pt-4">
      <h3 className="font-bold">Terrain of your own</h3>
      <p className="text-[13px] text-ink2">
        Tiles in degrees on WGS 84 (.tif, .hgt), several at once, or an ASCII grid (.asc): heights in metres.
      </p>
      <ul>
        {own.map((terrain) => (
          <li key={terrain.id} className="flex items-center justify-between border-b border-rule py-1">
            {terrain.name}
            <button
              type="button"
              className="rounded p-1.5 hover:bg-mark"
              aria-label={`Remove ${terrain.name}`}
              onClick={() => void remove(terrain.id)}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-col gap-2">
        <CheckField
          label="The grid is in metres of a plane (not in degrees)"
          checked={inMetres}
          onChange={setInMetres}
        />
        {inMetres && (
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Latitude of x 0, y 0"
              value={origin.latitude_deg}
              unit="°"
              digits={4}
              step={0.01}
              check={latitudeCheck}
              onChange={(latitude_deg) => setOrigin({ ...origin, latitude_deg })}
            />
            <NumberField
              label="Longitude of x 0, y 0"
              value={origin.longitude_deg}
              unit="°"
              digits={4}
              step={0.01}
              check={longitudeCheck}
              onChange={(longitude_deg) => setOrigin({ ...origin, longitude_deg })}
            />
          </div>
        )}
        <FileButton
          label="Add terrain files"
          busyLabel="Reading …"
          fileLabel="Terrain file"
          accept=".asc,.txt,.grd,.tif,.tiff,.hgt"
          busy={progress !== null}
          onChooseAll={(chosen) => void upload(chosen)}
        />
        {progress && (
          <div className="flex items-center gap-2 text-sm">
            <progress
              className="h-2 flex-1 appearance-none [&::-webkit-progress-bar]:bg-rule [&::-webkit-progress-value]:bg-harbour"
              value={progress.share}
              max={1}
              aria-label="Reading terrain"
            />
            <span className="num w-9 text-right">{Math.round(progress.share * 100)} %</span>
            <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => cancel.current?.abort()}>
              Cancel
            </button>
          </div>
        )}
      </div>
    </section>
  );
}

function nameOf(files: readonly File[]): string {
  const [first] = files;
  const name = first.name.replace(/\.[^.]*$/, "").slice(0, 60) || "Terrain";
  return files.length > 1 ? `${name} and ${files.length - 1} more` : name;
}
