import { strToU8, zipSync } from "fflate";
import { seededRandom } from "@/core/geometry";
import { SAMPLE_CARDS } from "./sampleCards";
import { SAMPLE_JOBS } from "./sampleWorkroom";
import { SHELVES, type Kept, type ShelfName } from "./shelfNames";
import { isZip } from "./zip";
import { readWorkroomFile, writeWorkroomFile, type WorkroomRecords } from "./workroomFile";
import { mergeOf, questionsOf, writesOf } from "./workroomMerge";

const MADE = "2026-11-28T10:00:00.000Z";

const emptyRoom = (): Record<ShelfName, Kept[]> =>
  Object.fromEntries(SHELVES.map((shelf) => [shelf, [] as Kept[]])) as Record<ShelfName, Kept[]>;

/** The sample workroom with something on every shelf. */
function fullRoom(): Record<ShelfName, Kept[]> {
  const room = emptyRoom();
  const [first] = SAMPLE_JOBS;
  const job = first?.id ?? "";
  room.jobs = SAMPLE_JOBS.map((s) => ({ ...s, version: 1, revision: 3, updated: MADE }) as Kept);
  room.cards = SAMPLE_CARDS.map((card, i) => ({ id: `card ${i} | ä/ö`, version: 1, card }) as Kept);
  room.making = [{ id: job, version: 1, done: { hem: { at: MADE, minutes: 12.5 } }, cards: { front: 3 } } as Kept];
  room.lays = [
    {
      id: `${job}|shell`,
      job,
      material: "shell",
      version: 1,
      sign: "x",
      lay: { length: 1234.5678901234 },
    } as unknown as Kept,
  ];
  room.cloths = [{ id: "c1", version: 1, cloth: { id: "c1", name: "Dune twill" } } as Kept];
  room.diary = [{ id: "d1", job, version: 1, photos: ["p1"], words: "Pulls across the seat. Größer!" } as Kept];
  room.photos = [
    { id: "p1", job, version: 1, type: "image/jpeg", bytes: Uint8Array.from([255, 216, 0, 7, 0]) } as Kept,
  ];
  return room;
}

const roomOf = (bytes: Uint8Array): WorkroomRecords => {
  const read = readWorkroomFile(bytes);
  if (read.kind !== "workroom") throw new Error(JSON.stringify(read));
  return read.records;
};
const message = (bytes: Uint8Array): string => {
  const read = readWorkroomFile(bytes);
  return read.kind === "refused" ? read.message : read.kind === "damaged" ? `damaged: ${read.damaged.join()}` : "read";
};

test("a whole workroom comes back exactly as it lay, photos byte for byte", () => {
  const room = fullRoom();
  const bytes = writeWorkroomFile(room, MADE);
  expect(isZip(bytes)).toBe(true);
  expect(roomOf(bytes)).toEqual(room);
  expect(mergeOf(room, roomOf(bytes))).toMatchObject({ fresh: 0, differing: [] });
  // On an empty browser everything of it is written, unchanged.
  const written = writesOf(
    emptyRoom(),
    roomOf(bytes),
    () => "theirs",
    () => "new",
  );
  for (const shelf of SHELVES)
    expect(written.filter((w) => w.shelf === shelf).map((w) => w.record)).toEqual(room[shelf]);
});

test("a job that differs is one question with all that belongs to it, and is kept as it is chosen", () => {
  const [here, file] = [fullRoom(), fullRoom()];
  const id = file.jobs[0]?.id ?? "";
  file.jobs[0] = { ...(file.jobs[0] as Kept), job: { name: "Changed elsewhere" } } as Kept;
  file.making[0] = { ...(file.making[0] as Kept), cards: { front: 9 } } as Kept;
  file.cards[0] = { ...(file.cards[0] as Kept), card: { name: "Other" } } as Kept;
  const merge = mergeOf(here, file);
  expect(questionsOf(merge).map((q) => q.key)).toEqual([`job|${id}`, `cards|${here.cards[0]?.id}`]);
  expect(
    writesOf(
      here,
      file,
      () => "here",
      () => "n",
    ),
  ).toEqual([]);
  const theirs = writesOf(
    here,
    file,
    () => "theirs",
    () => "n",
  );
  expect(theirs.map((w) => [w.shelf, w.record.id])).toEqual([
    ["jobs", id],
    ["cards", here.cards[0]?.id],
    ["making", id],
  ]);
  // An open tab sees that the job was written again.
  expect((theirs[0]?.record as unknown as { revision: number }).revision).toBe(4);
  const both = writesOf(
    here,
    file,
    (key) => (key === `job|${id}` ? "both" : "here"),
    () => "beside",
  );
  expect(both.map((w) => [w.shelf, w.record.id])).toEqual([
    ["jobs", "beside"],
    ["diary", "d1-beside"],
    ["photos", "p1-beside"],
    ["lays", "beside|shell"],
    ["making", "beside"],
  ]);
  expect(both.find((w) => w.shelf === "diary")?.record).toMatchObject({ job: "beside", photos: ["p1-beside"] });
});

test("a job that was removed here comes in again, though something that belongs to it was kept and differs", () => {
  const [here, file] = [fullRoom(), fullRoom()];
  const id = file.jobs[0]?.id ?? "";
  here.jobs = here.jobs.filter((job) => job.id !== id);
  here.making[0] = { ...(here.making[0] as Kept), cards: { front: 9 } } as Kept;
  const written = writesOf(
    here,
    file,
    () => "here",
    () => "n",
  );
  expect(written.map((w) => [w.shelf, w.record.id])).toEqual([["jobs", id]]);
});

test("what is no workroom, newer, cut short, or too much is refused with a sentence", () => {
  expect(message(strToU8("no zip at all"))).toMatch(/damaged or cut short/);
  expect(message(zipSync({ "a.txt": strToU8("x") }))).toMatch(/not a workroom/);
  const manifest = (more: object): Uint8Array =>
    zipSync({ "workroom.json": strToU8(JSON.stringify({ format: "eland-workroom", version: 1, ...more })) });
  expect(message(manifest({ version: 3 }))).toMatch(/newer Eland/);
  expect(message(manifest({ counts: { jobs: 1 } }))).toBe("damaged: jobs");
  const bad = zipSync({
    "workroom.json": strToU8(JSON.stringify({ format: "eland-workroom", version: 1 })),
    "jobs/00001.json": strToU8("[1]"),
  });
  expect(message(bad)).toBe("damaged: jobs/00001.json");
  const whole = writeWorkroomFile(fullRoom(), MADE);
  expect(message(whole.slice(0, whole.length / 2))).toMatch(/damaged or cut short/);
  // A bomb says how much it unpacks to, and is not unpacked.
  const bomb = zipSync(
    { "workroom.json": strToU8("{}"), "photos/00001.json": new Uint8Array(30_000_000) },
    { level: 9 },
  );
  expect(bomb.length).toBeLessThan(100_000);
  expect(message(bomb)).toMatch(/unpacks to more/);
});

test("one wrong bit anywhere: nothing comes in that was changed, and the rest is as it was", () => {
  const room = fullRoom();
  const whole = writeWorkroomFile(room, MADE);
  const random = seededRandom(11);
  const told = { workroom: 0, damaged: 0, refused: 0 };
  for (let k = 0; k < 250; k++) {
    const bytes = whole.slice();
    const at = Math.floor(random() * bytes.length);
    bytes[at] = (bytes[at] as number) ^ (1 << Math.floor(random() * 8));
    const read = readWorkroomFile(bytes);
    told[read.kind]++;
    if (read.kind === "workroom") expect(read.records).toEqual(room);
    if (read.kind !== "damaged") continue;
    expect(read.damaged.length).toBeGreaterThan(0);
    for (const shelf of SHELVES) for (const record of read.records[shelf]) expect(room[shelf]).toContainEqual(record);
  }
  // Most bits lie in a part, whose loss takes no other part with it.
  expect(told.damaged).toBeGreaterThan(150);
});

test("two records of one name are told, and the first is the rest", () => {
  const room = fullRoom();
  room.cards = [...room.cards, { ...(room.cards[0] as Kept), card: { name: "Twice" } } as Kept];
  const read = readWorkroomFile(writeWorkroomFile(room, MADE));
  expect(read).toMatchObject({ kind: "damaged", damaged: [`cards/0000${room.cards.length}.json`] });
  expect(read.kind === "damaged" && read.records.cards).toEqual(fullRoom().cards);
});

test("a file of the first form, which held no digests, is read and not called proved", () => {
  const old = zipSync({
    "workroom.json": strToU8(
      JSON.stringify({ format: "eland-workroom", version: 1, made: MADE, counts: { cards: 1 } }),
    ),
    "cards/00001.json": strToU8('{"id":"x","version":1,"card":{"name":"Old"}}'),
  });
  expect(readWorkroomFile(old)).toMatchObject({ kind: "workroom", proof: "older" });
});

test("a file changed anywhere is read or refused, and never throws or reaches a prototype", () => {
  const whole = writeWorkroomFile(fullRoom(), MADE);
  const random = seededRandom(5);
  for (let k = 0; k < 300; k++) {
    const bytes = whole.slice();
    for (let i = 0; i < 1 + random() * 8; i++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    expect(["read", "refused"]).toContain(message(bytes) === "read" ? "read" : "refused");
  }
  const sly = zipSync({
    "workroom.json": strToU8(JSON.stringify({ format: "eland-workroom", version: 1 })),
    "cards/00001.json": strToU8('{"id":"x","__proto__":{"isAdmin":true},"constructor":{"prototype":{"y":1}}}'),
  });
  roomOf(sly);
  expect(({} as { isAdmin?: boolean }).isAdmin).toBeUndefined();
  expect(({} as { y?: number }).y).toBeUndefined();
});
