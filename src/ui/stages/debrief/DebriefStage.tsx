"use client";
import dynamic from "next/dynamic";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { type DragEvent, useEffect, useState } from "react";
import type { CsvLayout } from "@/core/track/formats/csv-layout";
import { KEPT_LOG_VERSION, type KeptLog, MOST_CHARACTERS } from "@/core/track/kept-log";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useSituation } from "@/ui/situation/situation-store";
import { DebriefAside } from "./DebriefAside";
import { ExposureAside } from "./ExposureAside";
import { ExposureView } from "./ExposureView";
import { FlightView } from "./FlightView";
import { LogDay } from "./LogDay";
import { LogExport } from "./LogExport";
import { LogList } from "./LogList";
import { addRecorder, keepLog, openKept, openLog, recognise, useDebrief } from "./debrief-store";
import { loadLogs, useLogs } from "./logs-store";
import { knownLayout, rememberLayout } from "./known-layouts";
import { useBeside } from "./useBeside";
import { useExposure } from "./useExposure";
import { useFlownDay } from "./useFlownDay";

const CardsView = dynamic(() => import("./cards/CardsView").then((module) => module.CardsView));
const CardsAside = dynamic(() => import("./cards/CardsAside").then((module) => module.CardsAside), {
  loading: AsideLoading,
});
const LogbookView = dynamic(() => import("./logbook/LogbookView").then((module) => module.LogbookView));
const LogbookAside = dynamic(() => import("./logbook/LogbookAside").then((module) => module.LogbookAside), {
  loading: AsideLoading,
});
const SchoolView = dynamic(() => import("./school/SchoolView").then((module) => module.SchoolView));
const SchoolAside = dynamic(() => import("./school/SchoolAside").then((module) => module.SchoolAside), {
  loading: AsideLoading,
});
const LayoutDialog = dynamic(() => import("./LayoutDialog").then((module) => module.LayoutDialog));

const VIEWS = ["flight", "exposure", "logs", "cards", "logbook", "school"] as const;
type View = (typeof VIEWS)[number];

/** Views that are about one log: what is done with it stands above them. */
const OF_A_LOG: readonly View[] = ["flight", "exposure", "logs"];

const QUESTIONS: Partial<Record<View, string>> = {
  cards: "Do the runs agree with the prediction?",
  logbook: "What failed, why, and what was learnt?",
  school: "Who can do what, and what is next?",
};

/** While the column beside a view comes. */
function AsideLoading() {
  return <aside className="border-l border-rule" aria-label="Decision" />;
}

/** A table whose columns are asked about. */
interface Asked {
  readonly name: string;
  readonly text: string;
  readonly layout: CsvLayout;
  /** Of another recorder of the open flight. */
  readonly also: boolean;
}

/** Most runways that a log is kept with: those nearest to where it is looked at. */
const MOST_ENDS = 40;

/** Flight logs: read, measured, kept. */
export function DebriefStage() {
  const [view, setUrl] = useQueryState("debrief", parseAsStringLiteral(VIEWS).withDefault("flight"));
  const { document } = useAircraft();
  const mass_kg = useSituation((state) => state.current.mass_kg);
  const ends = useLandingEnds();
  const open = useDebrief((state) => state.open);
  const logs = useLogs((state) => state.logs);
  const beside = useBeside();
  const ofLog = OF_A_LOG.includes(view);
  useFlownDay(ofLog);
  const exposure = useExposure(view === "exposure");
  const [asked, setAsked] = useState<Asked | null>(null);
  const [over, setOver] = useState(false);

  useEffect(() => {
    if (useLogs.getState().logs === null) void loadLogs();
  }, []);
  // What was kept last is looked at first; not over what was just refused.
  useEffect(() => {
    const { open: now, progress, fault } = useDebrief.getState();
    if (logs && logs.length > 0 && !now && progress === null && fault === null) void openKept(logs[0].id);
  }, [logs]);

  const add = async (name: string, text: string, layout: CsvLayout | null) => {
    const log: KeptLog = {
      schema: "utrimax/log",
      version: KEPT_LOG_VERSION,
      name: name.slice(0, 120),
      text,
      layout,
      aircraft: document,
      mass_kg,
      // The situation’s air is of another day: it is told, or fitted.
      deviation_K: null,
      wind: null,
      ends: ends.filter(({ unprepared }) => !unprepared).slice(0, MOST_ENDS),
      stops: null,
      also: [],
    };
    const id = crypto.randomUUID();
    if (view === "logs") void setUrl("flight");
    if (await openLog(id, log)) await keepLog(id, log);
  };

  const put = (name: string, text: string, layout: CsvLayout | null, also: boolean) =>
    also ? addRecorder({ name: name.slice(0, 120), text, layout }) : add(name, text, layout);

  const take = async (file: File, also = false) => {
    if (file.size > MOST_CHARACTERS) return useDebrief.setState({ fault: "A log is at most 48 MB. Nothing was read." });
    const text = await file.text();
    const found = await recognise(text, !also);
    if (!found) return;
    const { format, layout } = found;
    if (!format) {
      useDebrief.setState({
        ...(also ? {} : { open: null }),
        fault: `${file.name} is no flight log: IGC, GPX 1.1, NMEA 0183 and tables of times and positions are read.`,
      });
      return;
    }
    const known = layout && knownLayout(layout.layout);
    if (!layout || known) return put(file.name, text, known, also);
    setAsked({ name: file.name, text, layout: layout.layout, also });
  };

  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files.item(0);
    if (file) void take(file);
  };

  return (
    <div
      className={`h-full ${over ? "outline-2 -outline-offset-4 outline-harbour outline-dashed" : ""}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <StageFrame
        label="Debrief"
        question={QUESTIONS[view] ?? "What happened, and what does it teach?"}
        actions={
          <>
            {open?.found && ofLog && <LogDay log={open.log} onAlso={(file) => void take(file, true)} />}
            {open?.found && ofLog && <LogExport log={open.log} />}
            {(ofLog || view === "cards") && (
              <FileButton
                label="Add a log"
                fileLabel="Flight log"
                accept=".igc,.gpx,.nmea,.csv,.txt,.log"
                onChoose={(file) => void take(file)}
              />
            )}
          </>
        }
        view={view}
        onView={(wanted) => void setUrl(wanted as View)}
        views={{
          flight: "Flight",
          exposure: "Exposure",
          logs: "Logs",
          cards: "Test cards",
          logbook: "Logbook",
          school: "School",
        }}
        viewsLabel="Views of the debriefing"
        aside={
          view === "exposure" ? (
            <ExposureAside answer={exposure} />
          ) : view === "cards" ? (
            <CardsAside />
          ) : view === "logbook" ? (
            <LogbookAside />
          ) : view === "school" ? (
            <SchoolAside />
          ) : (
            <DebriefAside beside={beside} />
          )
        }
        className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
      >
        <StageView value="flight">
          <FlightView beside={beside?.ok ? beside.value.turnBack : null} onChoose={() => void setUrl("logs")} />
        </StageView>
        <StageView value="exposure">
          <ExposureView answer={exposure} onChoose={() => void setUrl("logs")} />
        </StageView>
        <StageView value="logs">
          <LogList onOpen={() => void setUrl("flight")} />
        </StageView>
        <StageView value="cards">
          <CardsView />
        </StageView>
        <StageView value="logbook">
          <LogbookView />
        </StageView>
        <StageView value="school">
          <SchoolView />
        </StageView>
      </StageFrame>
      {asked && (
        <LayoutDialog
          name={asked.name}
          layout={asked.layout}
          onCancel={() => setAsked(null)}
          onRead={(layout) => {
            rememberLayout(layout);
            setAsked(null);
            void put(asked.name, asked.text, layout, asked.also);
          }}
        />
      )}
    </div>
  );
}
