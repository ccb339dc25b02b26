"use client";
import { Trash2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { LatLon } from "@/core/earth/geodesic";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { type Answer, send, sendRaw } from "@/ui/kit/request";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";

const LIMIT = 24 * 1024 * 1024;
const latitudeCheck = checkBy(LatLon.shape.latitude_deg);
const longitudeCheck = checkBy(LatLon.shape.longitude_deg);

/** Terrain of one's own: an Esri ASCII grid in degrees, or in metres of a plane about a place. */
export function TerrainField() {
  const { library } = useWorkspace();
  const router = useRouter();
  const position = useSituation((state) => state.current.position);
  const change = useSituation((state) => state.change);
  const [inMetres, setInMetres] = useState(false);
  const [origin, setOrigin] = useState(position);
  const [busy, setBusy] = useState(false);
  const own = library.terrains.filter((terrain) => !terrain.shared);

  const upload = async (chosen: File) => {
    if (chosen.size > LIMIT)
      return toast(
        `This file has ${Math.round(chosen.size / 1024 / 1024)} MB; at most 24 MB can be read. Use a coarser or smaller grid. Nothing was sent.`,
      );
    setBusy(true);
    const query = new URLSearchParams({
      name: chosen.name.replace(/\.[^.]*$/, "").slice(0, 80) || "Terrain",
      ...(inMetres ? { latitude_deg: String(origin.latitude_deg), longitude_deg: String(origin.longitude_deg) } : {}),
    });
    const answer: Answer<{ id: string; missingCells: number }> = await sendRaw(
      "POST",
      `/api/terrains?${query}`,
      await chosen.text(),
    );
    setBusy(false);
    if (!answer.ok) return toast(answer.issues.map((issue) => issue.message).join(" "));
    router.refresh();
    change({ terrainId: answer.value.id });
    toast(
      answer.value.missingCells > 0
        ? `The terrain is in use. ${answer.value.missingCells} cells without a height count as sea level.`
        : "The terrain is in use.",
    );
  };
  const remove = async (id: string) => {
    const answer = await send("DELETE", `/api/terrains/${id}`);
    if (!answer.ok) return toast(answer.issues.map((issue) => issue.message).join(" "));
    change((current) => (current.terrainId === id ? { terrainId: null } : {}));
    router.refresh();
  };

  return (
    <section className="mt-5 border-t border-rule pt-4">
      <h3 className="font-bold">Terrain of your own</h3>
      <p className="text-[13px] text-ink2">An ASCII grid (.asc), heights in metres, up to 2 048 × 2 048 points.</p>
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
          label="The file is in metres of a plane (not in degrees)"
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
          label="Add a terrain file"
          busyLabel="Reading …"
          fileLabel="Terrain file"
          accept=".asc,.txt,.grd"
          busy={busy}
          onChoose={(chosen) => void upload(chosen)}
        />
      </div>
    </section>
  );
}
