import "fake-indexeddb/auto";

/** Other tabs, which a test has none of. */
class NoOtherTab {
  onmessage = null;
  postMessage(): void {}
  addEventListener(): void {}
  removeEventListener(): void {}
  close(): void {}
}
Object.assign(globalThis, { BroadcastChannel: NoOtherTab });
if (typeof structuredClone === "undefined") {
  Object.assign(globalThis, { structuredClone: (value: unknown): unknown => JSON.parse(JSON.stringify(value)) });
}
