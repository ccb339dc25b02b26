// Writers that save without pause, as the interface does: what was not acknowledged is sent again until it is.
import { demoSituation } from "../../demo/read-demo";
import { type Client, openClient, save } from "./client";
import { pause } from "./stand";

/** Somebody who saves. */
export interface Writer {
  readonly client: Client;
  /** Last mass that was acknowledged, kg, and its version. */
  readonly acknowledged: { mass_kg: number; version: number };
  saves: number;
  failures: number;
  readonly faults: string[];
}

/** Opens writers, each with an account of its own. */
export async function openWriters(address: string, count: number): Promise<Writer[]> {
  return Promise.all(
    Array.from({ length: count }, async () => ({
      client: await openClient(address),
      acknowledged: { mass_kg: demoSituation().mass_kg, version: 1 },
      saves: 0,
      failures: 0,
      faults: [],
    })),
  );
}

/** Saves until it is told to end, and then until the last save is acknowledged. */
export async function write(writer: Writer, ended: () => boolean): Promise<void> {
  const { acknowledged } = writer;
  const demo = demoSituation();
  while (!ended()) {
    // Every save differs from the one before.
    const mass_kg = 800 + ((writer.saves * 7) % 200) + (writer.saves % 1000) / 1000;
    for (;;) {
      const outcome = await save(writer.client, { ...demo, mass_kg }, acknowledged.version);
      if (outcome.state === "saved") {
        Object.assign(acknowledged, { mass_kg, version: outcome.version });
        writer.saves += 1;
        break;
      }
      if (outcome.state === "refused") {
        writer.faults.push(`save ${writer.saves} was refused: ${outcome.status} ${outcome.text}`);
        return;
      }
      writer.failures += 1;
      await pause(100);
    }
  }
}

/** Compares what is stored with what was acknowledged; adds what is wrong to the writer's faults. */
export async function checkStored({ client, acknowledged, saves, faults }: Writer): Promise<void> {
  const answer = await client.fetch(`/api/situations/${client.situationId}`);
  const stored = await answer.json();
  if (answer.status !== 200) return void faults.push(`the situation cannot be read: ${answer.status}`);
  if (stored.version !== acknowledged.version || stored.version !== saves + 1)
    faults.push(`version ${stored.version} is stored, ${acknowledged.version} was acknowledged after ${saves} saves`);
  if (stored.document.mass_kg !== acknowledged.mass_kg)
    faults.push(`${stored.document.mass_kg} kg are stored, ${acknowledged.mass_kg} were acknowledged`);
}
