import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join, normalize } from "node:path";

/** Draws the house of the code: every room with its lines, on the floor above all that it takes from, with the nearest arrows between. */

const OUT = "docs/house.svg";
const ROOT = "src";

const filesIn = (folder: string): readonly string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name) ? [path] : [];
  });

/** The room of a file: its folder under src, or under src/core. */
function roomOf(path: string): string | null {
  const [, first = "", second = ""] = path.split("/");
  if (first !== "core") return second === "" ? null : first;
  if (second === "testing") return null;
  const room = second.replace(/\.ts$/, "");
  return room === "registry" || room === "remember" ? null : room;
}

interface Room {
  lines: number;
  readonly takes: Map<string, number>;
}

function read(): ReadonlyMap<string, Room> {
  const rooms = new Map<string, Room>();
  for (const file of filesIn(ROOT)) {
    const name = roomOf(file);
    if (!name) continue;
    const text = readFileSync(file, "utf8");
    const room = rooms.get(name) ?? { lines: 0, takes: new Map<string, number>() };
    rooms.set(name, room);
    room.lines += text.split("\n").length;
    for (const [, from = ""] of text.matchAll(/from "([.@][^"]*)"/g)) {
      const to = roomOf(from.startsWith("@/") ? `src/${from.slice(2)}/` : `${normalize(join(dirname(file), from))}/`);
      if (to && to !== name) room.takes.set(to, (room.takes.get(to) ?? 0) + 1);
    }
  }
  for (const { takes } of rooms.values()) for (const to of takes.keys()) if (!rooms.has(to)) takes.delete(to);
  return rooms;
}

/** Rooms that a room takes from, and not through another it takes from: only these arrows are drawn. */
function nearest(rooms: ReadonlyMap<string, Room>, name: string): readonly string[] {
  const takes = [...(rooms.get(name)?.takes.keys() ?? [])];
  const reaches = (from: string, to: string): boolean =>
    [...(rooms.get(from)?.takes.keys() ?? [])].some((next) => next === to || reaches(next, to));
  return takes.filter((to) => !takes.some((other) => other !== to && reaches(other, to)));
}

/** A room stands one floor above the highest it takes from. */
function floorsOf(rooms: ReadonlyMap<string, Room>): ReadonlyMap<string, number> {
  const floors = new Map<string, number>();
  const floor = (name: string, above: readonly string[]): number => {
    const known = floors.get(name);
    if (known !== undefined) return known;
    if (above.includes(name)) throw new Error(`an arrow runs back up: ${[...above, name].join(" > ")}`);
    const own = [...(rooms.get(name)?.takes.keys() ?? [])].map((to) => floor(to, [...above, name]) + 1);
    floors.set(name, Math.max(0, ...own));
    return floors.get(name) as number;
  };
  for (const name of rooms.keys()) floor(name, []);
  return floors;
}

const [WIDE, TALL, GAP, STEP] = [128, 40, 16, 62];

function draw(rooms: ReadonlyMap<string, Room>, floors: ReadonlyMap<string, number>): string {
  const top = Math.max(...floors.values());
  const onFloor = Array.from({ length: top + 1 }, (_, f) =>
    [...rooms.keys()].filter((name) => floors.get(name) === f).sort(),
  );
  const wide = 40 + Math.max(...onFloor.map((names) => names.length)) * (WIDE + GAP);
  const place = new Map(
    onFloor.flatMap((names, f) => {
      const left = (wide - names.length * (WIDE + GAP) + GAP) / 2;
      return names.map((name, i) => [name, [left + i * (WIDE + GAP), 30 + (top - f) * STEP]] as const);
    }),
  );
  const at = (name: string): readonly [number, number] => place.get(name) ?? [0, 0];
  const arrows = [...rooms].flatMap(([name, { takes }]) =>
    nearest(rooms, name).map((to) => {
      const count = takes.get(to) ?? 0;
      const [[x, y], [u, v]] = [at(name), at(to)];
      return `<path d="M${x + WIDE / 2} ${y + TALL}C${x + WIDE / 2} ${y + TALL + 22} ${u + WIDE / 2} ${v - 22} ${u + WIDE / 2} ${v}" stroke-width="${Math.min(2.4, 0.4 + count / 40).toFixed(1)}"/>`;
    }),
  );
  const boxes = [...rooms].map(([name, { lines }]) => {
    const [x, y] = at(name);
    return `<rect x="${x}" y="${y}" width="${WIDE}" height="${TALL}" rx="5"/><text x="${x + WIDE / 2}" y="${y + 17}">${name}</text><text class="quiet" x="${x + WIDE / 2}" y="${y + 32}">${(lines / 1000).toFixed(1)} k lines</text>`;
  });
  const tall = 50 + (top + 1) * STEP;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide} ${tall}" width="${wide}" height="${tall}" font-family="sans-serif" font-size="13" text-anchor="middle"><title>The house of the code: a room takes from those below it</title><style>rect{fill:#f4f6f2;stroke:#14302a}path{fill:none;stroke:#14302a;opacity:.5}.quiet{font-size:10px;fill:#55655e}</style><rect x="0" y="0" width="${wide}" height="${tall}" style="fill:#fff;stroke:none"/>${arrows.join("")}${boxes.join("")}</svg>\n`;
}

const rooms = read();
const floors = floorsOf(rooms);
writeFileSync(OUT, draw(rooms, floors));
const arrows = [...rooms.values()].reduce((sum, { takes }) => sum + takes.size, 0);
console.log(
  `${rooms.size} rooms on ${Math.max(...floors.values()) + 1} floors, ${arrows} arrows, none back up: ${OUT}`,
);
