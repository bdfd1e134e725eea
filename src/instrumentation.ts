/** Runs once when the server starts: the processes that answer the API are warm before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { warmUp } = await import("./server/pool");
  warmUp();
}
