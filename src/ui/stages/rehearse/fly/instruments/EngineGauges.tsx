import type { EngineView } from "@/core/simulation/flight-view";
import { formatNumber } from "@/core/quantities/units";

interface Row {
  readonly name: string;
  readonly of: (engine: EngineView) => number;
  readonly most: number;
  readonly digits: number;
}

const KELVIN = 273.15;
const FUEL: Row = { name: "Fuel, kg/h", of: ({ fuelFlow_kgps }) => fuelFlow_kgps * 3600, most: 90, digits: 0 };
const EXHAUST: Row = { name: "Exhaust, °C", of: ({ exhaust_K }) => exhaust_K - KELVIN, most: 850, digits: 0 };
const OIL: Row = { name: "Oil, bar", of: ({ oil_Pa }) => oil_Pa / 1e5, most: 6, digits: 1 };
const PISTON: readonly Row[] = [
  { name: "Speed, rpm", of: ({ rpm }) => rpm, most: 2900, digits: 0 },
  { name: "Manifold, hPa", of: ({ manifold_Pa }) => manifold_Pa / 100, most: 1050, digits: 0 },
  FUEL,
  EXHAUST,
  { name: "Head, °C", of: ({ head_K }) => head_K - KELVIN, most: 240, digits: 0 },
  OIL,
];

const JET: readonly Row[] = [
  { name: "Spool, %", of: ({ spool }) => (spool ?? 0) * 100, most: 105, digits: 0 },
  { ...FUEL, most: 9000 },
  EXHAUST,
  OIL,
];

const SHAFT: readonly Row[] = [
  { name: "Power, kW", of: ({ power_W }) => (power_W ?? 0) / 1000, most: 600, digits: 0 },
  { name: "Gas generator, %", of: ({ spool }) => (spool ?? 0) * 100, most: 105, digits: 0 },
  { ...FUEL, most: 220 },
  EXHAUST,
  OIL,
];

const rowsOf = (engine: EngineView | undefined): readonly Row[] =>
  engine && engine.power_W !== null ? SHAFT : engine && engine.spool !== null ? JET : PISTON;

/** Both engines’ gauges, one line a figure: what differs stands side by side. */
export function EngineGauges({ engines }: { engines: readonly EngineView[] }) {
  return (
    <table className="w-full self-start text-[12.5px] leading-5" aria-label="Engine gauges">
      {engines.length > 1 && (
        <thead>
          <tr className="text-ink2">
            <th className="text-left font-normal">Engine</th>
            <th className="text-right font-normal">left</th>
            <th className="text-right font-normal">right</th>
          </tr>
        </thead>
      )}
      <tbody>
        {rowsOf(engines.at(0)).map(({ name, of, most, digits }) => (
          <tr key={name}>
            <th className="py-0 text-left font-normal whitespace-nowrap text-ink2">{name}</th>
            {engines.map((engine, i) => {
              const value = of(engine);
              return (
                <td key={i} className="pl-2">
                  <span className="flex items-center justify-end gap-1.5">
                    <span className="num font-bold">{formatNumber(value, digits)}</span>
                    <span className="block h-2 w-10 border border-ink2/50">
                      <span
                        className="block h-full bg-ink2"
                        style={{ width: `${Math.max(0, Math.min(1, value / most)) * 100}%` }}
                      />
                    </span>
                  </span>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
