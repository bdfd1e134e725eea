import { askToKeep, roomTaken, sizeInWords } from "./room";

const withStorage = (storage: unknown): void =>
  void Object.defineProperty(globalThis, "navigator", { value: { storage }, configurable: true });

test("sizes as they are read", () => {
  expect([sizeInWords(800), sizeInWords(3_200_000), sizeInWords(2_440_000_000), sizeInWords(31_000_000_000)]).toEqual([
    "1 kB",
    "4 MB",
    "2.4 GB",
    "31 GB",
  ]);
});

test("a browser that does not say, or refuses, is no error", async () => {
  withStorage(undefined);
  expect([await roomTaken(), await askToKeep()]).toEqual([null, false]);
  withStorage({ estimate: () => Promise.reject(new Error("no")), persisted: () => Promise.reject(new Error("no")) });
  expect([await roomTaken(), await askToKeep()]).toEqual([null, false]);
});

test("it is asked once to keep what lies here, and told what it takes", async () => {
  let asked = 0;
  withStorage({
    estimate: async () => ({ usage: 5, quota: 50 }),
    persisted: async () => asked > 0,
    persist: async () => ++asked > 0,
  });
  expect(await roomTaken()).toEqual({ used: 5, whole: 50 });
  expect([await askToKeep(), await askToKeep(), asked]).toEqual([true, true, 1]);
});
