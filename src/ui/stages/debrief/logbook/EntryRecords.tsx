"use client";
import { type LogbookEntry, ShutdownRecord, TabRecord } from "@/core/logbook/logbook-entry";
import { M_PER_FT, MPS_PER_KT, ZERO_CELSIUS_K } from "@/core/quantities/constants";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";

const [tabShape, shutdownShape] = [TabRecord.shape, ShutdownRecord.shape];

interface Props {
  draft: LogbookEntry;
  set: (part: Partial<LogbookEntry>) => void;
}

/** An engine that was shut down. */
export function ShutdownFields({ draft, set }: Props) {
  const { shutdown } = draft;
  const put = (part: Partial<ShutdownRecord>) => shutdown && set({ shutdown: { ...shutdown, ...part } });
  return (
    <fieldset>
      <legend>
        <CheckField
          label="An engine was shut down"
          checked={shutdown !== null}
          onChange={(on) =>
            set({
              shutdown: on
                ? { engine: "the engine", height_m: 5000 * M_PER_FT, off_s: 180, tries: 1, started: true, oil_K: null }
                : null,
            })
          }
        />
      </legend>
      {shutdown && (
        <div className="mt-1 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(170px,1fr))] items-start gap-x-5 gap-y-2">
          <ChoiceField
            label="Which"
            value={shutdown.engine}
            choices={shutdownShape.engine.options.map((value) => ({ value, label: value }))}
            onChange={(engine) => put({ engine })}
          />
          <QuantityField
            label="Height over the ground"
            kind="height"
            value={shutdown.height_m}
            check={checkBy(shutdownShape.height_m)}
            onChange={(height_m) => put({ height_m })}
            onClear={() => put({ height_m: null })}
          />
          <NumberField
            label="Off for"
            value={shutdown.off_s}
            unit="s"
            digits={0}
            step={10}
            check={checkBy(shutdownShape.off_s)}
            onChange={(off_s) => put({ off_s })}
          />
          <NumberField
            label="Tries to start"
            value={shutdown.tries}
            unit=""
            digits={0}
            step={1}
            check={checkBy(shutdownShape.tries)}
            onChange={(tries) => put({ tries: Math.round(tries) })}
          />
          <QuantityField
            label="Oil before the start"
            kind="temperature"
            value={shutdown.oil_K}
            check={checkBy(shutdownShape.oil_K)}
            onChange={(oil_K) => put({ oil_K })}
            onClear={() => put({ oil_K: null })}
            hint={
              shutdown.oil_K === null
                ? undefined
                : shutdown.oil_K < ZERO_CELSIUS_K + 40
                  ? "Cold: look for a longer warm-up."
                  : undefined
            }
          />
          <CheckField label="It started" checked={shutdown.started} onChange={(started) => put({ started })} />
        </div>
      )}
    </fieldset>
  );
}

/** A trim tab that was set. */
export function TabFields({ draft, set }: Props) {
  const { tab } = draft;
  const put = (part: Partial<TabRecord>) => tab && set({ tab: { ...tab, ...part } });
  return (
    <fieldset>
      <legend>
        <CheckField
          label="The trim tab was set"
          checked={tab !== null}
          onChange={(on) =>
            set({ tab: on ? { speed_mps: 95 * MPS_PER_KT, before_rad: 0, after_rad: 0, ball: 0 } : null })
          }
        />
      </legend>
      {tab && (
        <div className="mt-1 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(170px,1fr))] items-start gap-x-5 gap-y-2">
          <QuantityField
            label="At"
            kind="speed"
            value={tab.speed_mps}
            check={checkBy(tabShape.speed_mps)}
            onChange={(speed_mps) => put({ speed_mps })}
          />
          <AngleField
            label="Tab before, right +"
            step={1}
            value={tab.before_rad}
            check={checkBy(tabShape.before_rad)}
            onChange={(before_rad) => put({ before_rad })}
          />
          <AngleField
            label="Tab after, right +"
            step={1}
            value={tab.after_rad}
            check={checkBy(tabShape.after_rad)}
            onChange={(after_rad) => put({ after_rad })}
          />
          <NumberField
            label="Ball, feet off, right +"
            value={tab.ball}
            unit="widths"
            digits={1}
            step={0.1}
            check={checkBy(tabShape.ball)}
            onChange={(ball) => put({ ball })}
          />
        </div>
      )}
    </fieldset>
  );
}
