import { toast } from "sonner";
import { create } from "zustand";
import type { DrillShown, FlightDid, FlightEvent, FlightShown, NowShown, ShownPart } from "@/core/exercise/flight-crew";
import type { SeenCrew } from "@/server/crews";
import { send } from "@/ui/kit/request";

/** The clock of the drill, as the server told it last. */
interface Clock {
  readonly time_s: number;
  readonly running: boolean;
  /** When it was told, by the page's own clock, ms. */
  readonly told_ms: number;
}

/** A flight as those who look on have it: null until it was told. */
export interface ShownFlight {
  readonly flight: FlightShown | null;
  readonly drill: DrillShown;
  readonly now: NowShown | null;
  /** When it was told last, by the page's own clock, ms. */
  readonly told_ms: number;
}

interface CrewStore {
  readonly crew: SeenCrew | null;
  readonly log: readonly FlightEvent[];
  readonly clock: Clock;
  readonly shown: ShownFlight;
  /** `opening` until the log is there; `lost` while the line is; `gone` where there is none for this browser. */
  readonly link: "opening" | "there" | "lost" | "gone";
  /** Opens a crew; returns how to close it. */
  open(id: string): () => void;
  /** Does something; what is refused is told. */
  act(did: FlightDid): Promise<void>;
}

const STANDING: Clock = { time_s: 0, running: false, told_ms: 0 };
const NOTHING: ShownFlight = { flight: null, drill: null, now: null, told_ms: 0 };

/** The crew of this page. */
export const useCrew = create<CrewStore>()((set, get) => ({
  crew: null,
  log: [],
  clock: STANDING,
  shown: NOTHING,
  link: "opening",
  open: (id) => {
    set({ crew: null, log: [], clock: STANDING, shown: NOTHING, link: "opening" });
    let source: EventSource | null = null;
    let closed = false;
    const listen = () => {
      // A browser that loses it comes again by itself, and says what it has.
      source = new EventSource(`/api/crews/${id}/events?after=${get().log.at(-1)?.seq ?? 0}`);
      source.addEventListener("did", (message: MessageEvent<string>) => {
        const event = JSON.parse(message.data) as FlightEvent;
        set(({ log }) => ({
          link: "there",
          log: log.some(({ seq }) => seq === event.seq) ? log : [...log, event],
        }));
      });
      source.addEventListener("clock", (message: MessageEvent<string>) => {
        const told = JSON.parse(message.data) as Omit<Clock, "told_ms">;
        set({ clock: { ...told, told_ms: performance.now() }, link: "there" });
      });
      source.addEventListener("shown", (message: MessageEvent<string>) => {
        const { part, body } = JSON.parse(message.data) as { part: ShownPart; body: unknown };
        set(({ shown }) => ({ shown: { ...shown, [part]: body, told_ms: performance.now() }, link: "there" }));
      });
      source.onerror = () => {
        set({ link: "lost" });
        // What the server has refused is not tried again by the browser.
        if (source?.readyState === EventSource.CLOSED && !closed) setTimeout(() => !closed && listen(), 3000);
      };
    };
    void send<SeenCrew>("GET", `/api/crews/${id}`).then((answer) => {
      if (closed) return;
      if (!answer.ok) return set({ link: answer.away ? "lost" : "gone" });
      set({ crew: answer.value });
      listen();
    });
    return () => {
      closed = true;
      source?.close();
    };
  },
  act: async (did) => {
    const { crew } = get();
    if (!crew) return;
    const answer = await send("POST", `/api/crews/${crew.id}/events`, { did });
    if (!answer.ok) toast(answer.issues.map(({ message }) => message).join(" "));
  },
}));
