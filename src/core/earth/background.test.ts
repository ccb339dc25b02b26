import { describe, expect, it } from "vitest";
import { Background, originOf } from "./background";

const taken = (address: string) => Background.safeParse({ address, opacity: 0.5, credit: "" }).success;

describe("the address of tiles", () => {
  it.each([
    "https://tiles.example/{z}/{x}/{y}.png",
    "http://127.0.0.1:4200/tiles/{z}/{x}/{-y}",
    "https://tiles.example/map?level={z}&row={y}&column={x}",
  ])("takes %s", (address) => expect(taken(address)).toBe(true));

  it.each([
    ["without a level", "https://tiles.example/{x}/{y}.png"],
    ["a column twice", "https://tiles.example/{z}/{x}/{x}/{y}.png"],
    ["both kinds of rows", "https://tiles.example/{z}/{x}/{y}/{-y}"],
    ["another placeholder", "https://tiles.example/{z}/{x}/{y}/{key}"],
    ["a host that changes", "https://{x}.tiles.example/{z}/{y}"],
    ["a host with a name and a password", "https://you:me@tiles.example/{z}/{x}/{y}"],
    ["another scheme", "ftp://tiles.example/{z}/{x}/{y}"],
    ["a script", "javascript:alert(1)//{z}/{x}/{y}"],
    ["spaces", "https://tiles.example/{z}/{x}/ {y}"],
    ["a port that there is none of", "https://tiles.example:99999/{z}/{x}/{y}"],
    ["nothing", ""],
  ])("refuses %s", (_, address) => expect(taken(address)).toBe(false));

  it("leads to one place", () => {
    expect(originOf({ address: "https://tiles.example:8443/a/{z}/{x}/{y}.png" })).toBe("https://tiles.example:8443");
    expect(originOf({ address: "HTTPS://Tiles.Example/{z}/{x}/{y}" })).toBe("https://tiles.example");
  });
});
