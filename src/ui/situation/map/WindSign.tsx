"use client";
import { type WindColumn, type WindVector, windProfile } from "@/core/air/wind";
import { degrees, wrapTurn } from "@/core/quantities/angle";
import { formatWind } from "@/ui/situation/wind-words";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

interface Props {
  ground_m: number;
  /** Where it is asked about; the aircraft's own when left out. */
  at?: { readonly altitude_m: number; readonly heading_rad: number };
}

/** North, and the wind where the aircraft is and at the ground. */
export function WindSign({ ground_m, at }: Props) {
  const situation = useSituation((state) => state.current);
  const { altitude_m, heading_rad } = at ?? situation;
  const { wind, mass_kg, configuration, air, pilot } = situation;
  const { document } = useAircraft();
  return (
    <div className="panel absolute top-3 right-3 flex gap-3 px-3 py-1.5 opacity-95">
      <svg width="18" height="46" viewBox="0 0 18 46" role="img" aria-label="North is up">
        <path d="M9 44V14M9 14l-4.500 8M9 14l4.500 8" fill="none" stroke="var(--ink)" strokeWidth="1.6" />
        <text x="9" y="10" textAnchor="middle" fontSize="12" fontWeight="700" fill="var(--ink)">
          N
        </text>
      </svg>
      <Figure
        title="Gliding along this heading in this wind"
        figure="speedToFly"
        source={{
          calculation: {
            name: "glide",
            input: {
              aircraft: document,
              mass_kg,
              configuration,
              air,
              wind,
              altitude_m,
              ground_m,
              trackTrue_rad: heading_rad,
              bank_rad: pilot.bank_rad,
              stallMargin: pilot.stallMargin,
            },
          },
        }}
        className="flex gap-3"
      >
        <span className="sr-only">The wind </span>
        <Arrow label="here" wind={windAt(wind, altitude_m, ground_m)} />
        <Arrow label="10 m" wind={windAt(wind, ground_m + 10, ground_m)} />
      </Figure>
    </div>
  );
}

/** Wind at an altitude as direction and speed; null when the column contradicts itself. */
function windAt(
  column: WindColumn,
  altitude_m: number,
  ground_m: number,
): { from_rad: number; speed_mps: number } | null {
  const profile = windProfile(column, ground_m);
  if (!profile.ok) return null;
  const vector: WindVector = profile.value(altitude_m);
  return {
    from_rad: wrapTurn(Math.atan2(-vector.east_mps, -vector.north_mps)),
    speed_mps: Math.hypot(vector.east_mps, vector.north_mps),
  };
}

function Arrow({ label, wind }: { label: string; wind: { from_rad: number; speed_mps: number } | null }) {
  const units = useUnits((state) => state.units);
  const text = wind ? formatWind(wind, units) : "–";
  return (
    <span className="flex flex-col items-center">
      <svg width="30" height="30" viewBox="-15 -15 30 30" aria-hidden="true">
        {wind && wind.speed_mps > 0.3 && (
          <path
            d="M0 -12V11M-4.500 4L0 12 4.500 4"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="2"
            transform={`rotate(${degrees(wind.from_rad)})`}
          />
        )}
      </svg>
      <span className="num text-[12px]">
        {label} {text}
      </span>
    </span>
  );
}
