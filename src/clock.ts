/** Whether so many milliseconds from now are over. The core reads no clock: whoever asks for a search says when it ends. */
export function overAfter(milliseconds: number): () => boolean {
  const until = performance.now() + milliseconds;
  return () => performance.now() >= until;
}
