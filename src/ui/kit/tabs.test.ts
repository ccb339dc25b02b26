import { afterEach, describe, expect, it } from "vitest";
import { hearTabs, tellTabs } from "./tabs";

const other = new BroadcastChannel("utrimax");
afterEach(() => {
  other.onmessage = null;
});

describe("tabs", () => {
  it("are told by the others and not by themselves", async () => {
    const [heard, there]: [unknown[], unknown[]] = [[], []];
    const stop = hearTabs((message) => heard.push(message));
    other.onmessage = (event) => there.push(event.data);
    tellTabs({ kind: "changed" });
    other.postMessage({ kind: "saved", id: "a", version: 2, document: null });
    await expect.poll(() => [heard.length, there.length]).toEqual([1, 1]);
    expect(heard).toEqual([{ kind: "saved", id: "a", version: 2, document: null }]);
    stop();
    other.postMessage({ kind: "changed" });
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(heard).toHaveLength(1);
  });
});
