// A small outside world on loopback, for the demo and for tests: a weather service, a position feed and the tiles of a
// map. What answers in their place is set by WEATHER_URL, POSITION_URL and BACKGROUND_ORIGINS.
//   GET  /weather?lat=&lon=            report and winds aloft of the nearest station
//   GET  /position?flight=&lat=…       NMEA 0183 sentences over server-sent events, once a second
//   POST /position/FLIGHT/engine?running=0|1   the engine of that flight stops, or runs again
//   POST /position/FLIGHT/signal?lost=0|1      nothing is sent for a while
//   GET  /tiles/Z/X/Y.png                      a tile of 256 px: bare paper with a line every twentieth of a degree
import { createServer } from "node:http";
import { tile } from "./tile.mjs";

const DEGREE_M = 111_195;
const KT_MPS = 0.514444;
const radians = (/** @type {number} */ angle_deg) => (angle_deg * Math.PI) / 180;

/** The station of the demo world, and how far its weather is told. */
const STATION = { name: "TRSK", latitude_deg: -47.13, longitude_deg: -130.94, reach_km: 150 };

const away_km = (/** @type {number} */ latitude_deg, /** @type {number} */ longitude_deg) =>
  (Math.hypot(
    latitude_deg - STATION.latitude_deg,
    (longitude_deg - STATION.longitude_deg) * Math.cos(radians(STATION.latitude_deg)),
  ) *
    DEGREE_M) /
  1000;

const two = (/** @type {number} */ value) => String(value).padStart(2, "0");

/** The weather of an hour: it goes round in twelve of them, always the same. */
function weather(/** @type {Date} */ now) {
  const hour = now.getUTCHours() + now.getUTCMinutes() / 60;
  const wave = Math.sin((hour / 12) * 2 * Math.PI);
  const from_deg = Math.round((250 + 30 * wave) / 10) * 10;
  const speed_kt = Math.round(12 + 6 * wave);
  const temperature_degC = Math.round(12 + 3 * wave);
  const made = new Date(Math.floor(now.getTime() / 1_800_000) * 1_800_000);
  const time = `${two(made.getUTCDate())}${two(made.getUTCHours())}${two(made.getUTCMinutes())}Z`;
  const metar = `METAR ${STATION.name} ${time} ${String(from_deg).padStart(3, "0")}${two(speed_kt)}KT 9999 FEW035 ${two(temperature_degC)}/08 Q${1016 - Math.round(3 * wave)}`;
  const aloft = [
    [914.4, 20, 1.6],
    [1828.8, 30, 2],
    [3048, 40, 2.5],
  ].map(([altitude_m, veer_deg, times]) => ({
    altitude_m,
    from_rad: radians((from_deg + veer_deg) % 360),
    speed_mps: Math.round(speed_kt * times) * KT_MPS,
  }));
  return { station: STATION.name, metar, aloft };
}

/**
 * @typedef {{
 *   latitude_deg: number, longitude_deg: number, altitude_m: number, heading_deg: number,
 *   tas_mps: number, ratio: number, ground_m: number, east_mps: number, north_mps: number,
 *   running: boolean, lost: boolean
 * }} Flight
 */

/** Flights under way, by the name that their watcher gave them; kept for one whose line broke off. */
const flights = /** @type {Map<string, Flight>} */ (new Map());
const MOST_FLIGHTS = 200;
const KEPT_MS = 60_000;
const forgetting = /** @type {Map<string, NodeJS.Timeout>} */ (new Map());

/** Over the ground: what it flies through the air, and the wind that carries it. */
function groundVelocity(/** @type {Flight} */ { heading_deg, tas_mps, east_mps, north_mps, ...flight }) {
  if (!flight.running && flight.altitude_m <= flight.ground_m) return { east_mps: 0, north_mps: 0 };
  const heading_rad = radians(heading_deg);
  return {
    east_mps: tas_mps * Math.sin(heading_rad) + east_mps,
    north_mps: tas_mps * Math.cos(heading_rad) + north_mps,
  };
}

/** Level in a wide left circle while the engine runs; straight ahead and down when it does not. */
function fly(/** @type {Flight} */ flight, /** @type {number} */ step_s) {
  const { east_mps, north_mps } = groundVelocity(flight);
  if (flight.running) flight.heading_deg = (flight.heading_deg + 360 - step_s) % 360;
  else flight.altitude_m = Math.max(flight.altitude_m - (flight.tas_mps / flight.ratio) * step_s, flight.ground_m);
  flight.latitude_deg += (north_mps * step_s) / DEGREE_M;
  flight.longitude_deg += (east_mps * step_s) / (DEGREE_M * Math.cos(radians(flight.latitude_deg)));
}

function sentence(/** @type {string} */ body) {
  const sum = [...body].reduce((xor, letter) => xor ^ letter.charCodeAt(0), 0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, "0")}`;
}

/** Degrees and minutes as NMEA has them. */
function angle(/** @type {number} */ value_deg, /** @type {number} */ digits, /** @type {string} */ sides) {
  const minutes = Math.abs(value_deg) * 60;
  const whole = Math.floor(minutes / 60 + 1e-9);
  return `${String(whole).padStart(digits, "0")}${(minutes - 60 * whole).toFixed(4).padStart(7, "0")},${sides[value_deg < 0 ? 1 : 0]}`;
}

function sentences(/** @type {Flight} */ flight, /** @type {Date} */ now) {
  const time = `${two(now.getUTCHours())}${two(now.getUTCMinutes())}${two(now.getUTCSeconds())}.00`;
  const date = `${two(now.getUTCDate())}${two(now.getUTCMonth() + 1)}${two(now.getUTCFullYear() % 100)}`;
  const place = `${angle(flight.latitude_deg, 2, "NS")},${angle(flight.longitude_deg, 3, "EW")}`;
  const { east_mps, north_mps } = groundVelocity(flight);
  const speed = (Math.hypot(east_mps, north_mps) / KT_MPS).toFixed(1);
  const track = (((Math.atan2(east_mps, north_mps) * 180) / Math.PI + 360) % 360).toFixed(1);
  return [
    sentence(`GPRMC,${time},A,${place},${speed},${track},${date},,`),
    sentence(`GPGGA,${time},${place},1,08,0.9,${flight.altitude_m.toFixed(1)},M,0.0,M,,`),
  ];
}

/** A number of the query, or what is usual. */
function number(/** @type {URLSearchParams} */ query, /** @type {string} */ name, /** @type {number} */ usual) {
  const value = query.has(name) ? Number(query.get(name)) : usual;
  return Number.isFinite(value) ? value : usual;
}

/** @type {import("node:http").RequestListener} */
function answer(request, response) {
  const url = new URL(request.url ?? "/", "http://localhost");
  const query = url.searchParams;
  const json = (/** @type {number} */ status, /** @type {unknown} */ body) =>
    response.writeHead(status, { "content-type": "application/json" }).end(JSON.stringify(body));
  if (url.pathname === "/weather") {
    if (!(away_km(number(query, "lat", 0), number(query, "lon", 0)) <= STATION.reach_km))
      return json(404, { reason: "no station within 150 km" });
    return json(200, weather(new Date()));
  }
  const asked = /^\/tiles\/(\d{1,2})\/(\d{1,8})\/(\d{1,8})\.png$/.exec(url.pathname);
  if (asked) {
    const [level, column, row] = asked.slice(1).map(Number);
    if (level > 19 || column >= 2 ** level || row >= 2 ** level) return json(404, { reason: "no such tile" });
    return response.writeHead(200, { "content-type": "image/png" }).end(tile(level, column, row));
  }
  const told = /^\/position\/([\w-]{1,64})\/(engine|signal)$/.exec(url.pathname);
  if (told && request.method === "POST") {
    const flight = flights.get(told[1]);
    if (!flight) return json(404, { reason: "no such flight" });
    if (told[2] === "engine") flight.running = query.get("running") === "1";
    else flight.lost = query.get("lost") === "1";
    return json(200, { running: flight.running, lost: flight.lost });
  }
  if (url.pathname !== "/position") return json(404, { reason: "nothing here" });
  const name = query.get("flight") ?? "";
  if (!/^[\w-]{1,64}$/.test(name) || flights.size >= MOST_FLIGHTS) return json(429, { reason: "not another flight" });
  const flight = flights.get(name) ?? {
    latitude_deg: number(query, "lat", STATION.latitude_deg),
    longitude_deg: number(query, "lon", STATION.longitude_deg),
    altitude_m: number(query, "alt_m", 762),
    heading_deg: number(query, "hdg_deg", 110),
    tas_mps: number(query, "tas_mps", 40),
    ratio: Math.max(number(query, "ratio", 9), 1),
    ground_m: number(query, "ground_m", 0),
    east_mps: number(query, "east_mps", 0),
    north_mps: number(query, "north_mps", 0),
    running: true,
    lost: false,
  };
  flights.set(name, flight);
  clearTimeout(forgetting.get(name));
  forgetting.delete(name);
  response.writeHead(200, { "content-type": "text/event-stream", "cache-control": "no-cache" });
  const send = () => {
    if (flight.lost) return;
    response.write(
      `${sentences(flight, new Date())
        .map((line) => `data: ${line}`)
        .join("\n")}\n\n`,
    );
  };
  send();
  const timer = setInterval(() => {
    fly(flight, 1);
    send();
  }, 1000);
  response.on("close", () => {
    clearInterval(timer);
    forgetting.set(name, setTimeout(() => flights.delete(name), KEPT_MS).unref());
  });
}

/** Listens on loopback and ends with the process that started it. */
const server = createServer(answer).listen(Number(process.env.PORT ?? 4200), "127.0.0.1");
for (const signal of ["SIGTERM", "SIGINT"]) process.once(signal, () => process.exit(0));
server.on("error", (error) => {
  console.error(`The outside world's stand-in cannot listen: ${error.message}`);
  process.exit(1);
});
