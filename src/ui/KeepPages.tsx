"use client";
import { useEffect } from "react";

/** The page has been quiet for this long, in milliseconds, before the rest of the program is fetched. */
const QUIET_MS = 2_500;

/** Has the browser keep the program, so that every stage works on when the server is gone. */
export function KeepPages() {
  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
    const timer = setTimeout(() => {
      navigator.serviceWorker
        .register("/sw.js")
        .then(() => navigator.serviceWorker.ready)
        .then((registration) => registration.active?.postMessage("keep-all"))
        // A browser that keeps nothing still works while the server answers.
        .catch(() => undefined);
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, []);
  return null;
}
