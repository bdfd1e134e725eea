// Keeps every page and its scripts in the browser once it was loaded, so that the work goes on when the server is gone.
// Pages come from the server while it answers; scripts and fonts never change under their name.
const KEPT = "eland-pages";
const PAGES = [
  ...["/", "/body", "/block", "/restyle", "/pieces", "/cloth", "/make", "/diary", "/wearer", "/practice", "/notices"],
  ...["/manifest.webmanifest", "/icon.svg", "/icons/icon-192.png", "/icons/icon-512.png"],
];
const isScript = (url) => url.pathname.startsWith("/_next/static/");

/** What is kept of a request: its page, whatever job it shows, and which part of the page is asked for. */
function keyOf(request) {
  const url = new URL(request.url);
  if (isScript(url)) return url.pathname;
  const part = ["rsc", "next-router-prefetch", "next-router-segment-prefetch"]
    .map((name) => request.headers.get(name) ?? "")
    .join("~");
  return `${url.pathname}?kept=${encodeURIComponent(part)}`;
}

async function keep(request, response) {
  if (!response.ok || response.type !== "basic") return;
  const kept = await caches.open(KEPT);
  await kept.put(keyOf(request), response.clone());
}

async function answer(request) {
  const kept = await caches.open(KEPT);
  if (isScript(new URL(request.url))) {
    const known = await kept.match(keyOf(request));
    // Told anew, so that a worker keeps the address it was started by, with all that stands behind its name.
    if (known) return new Response(known.body, { status: known.status, headers: known.headers });
  }
  try {
    const response = await fetch(request);
    void keep(request, response.clone());
    return response;
  } catch (error) {
    const known = await kept.match(keyOf(request));
    if (known) return known;
    throw error;
  }
}

/** Fetches what was not looked at yet: every page and every script of this build. */
async function keepAll() {
  const kept = await caches.open(KEPT);
  const { assets } = await (await fetch("/api/assets")).json();
  const now = new Set(assets);
  for (const key of await kept.keys()) {
    const { pathname } = new URL(key.url);
    if (pathname.startsWith("/_next/static/") && !now.has(pathname)) await kept.delete(key);
  }
  for (const path of [...PAGES, ...assets]) {
    const request = new Request(path);
    if (path.startsWith("/_next/") && (await kept.match(keyOf(request)))) continue;
    await keep(request, await fetch(request));
  }
}

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("message", (event) => {
  if (event.data !== "keep-all") return;
  event.waitUntil(
    keepAll().then(
      () => event.source?.postMessage("kept-all"),
      () => undefined,
    ),
  );
});
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin || url.pathname.startsWith("/api/")) return;
  event.respondWith(answer(request));
});
