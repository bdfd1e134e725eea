/** How much of this browser's room Eland takes, and how much there is, in bytes; null where the browser does not say. */
export async function roomTaken(): Promise<{ readonly used: number; readonly whole: number } | null> {
  try {
    const { usage, quota } = await navigator.storage.estimate();
    return usage === undefined || !quota ? null : { used: usage, whole: quota };
  } catch {
    return null;
  }
}

/**
 * Asks the browser to keep what lies here even when it runs out of room. It may say no, and everything works on as it
 * did; what is kept can be handed over as a file at any time.
 */
export async function askToKeep(): Promise<boolean> {
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist());
  } catch {
    return false;
  }
}

/** Bytes as they are read: 3 MB, 2.4 GB. */
export function sizeInWords(bytes: number): string {
  const [unit, of] = bytes >= 1e9 ? ["GB", 1e9] : bytes >= 1e6 ? ["MB", 1e6] : ["kB", 1e3];
  const value = bytes / of;
  return `${value < 10 && of === 1e9 ? value.toFixed(1) : Math.ceil(value)} ${unit}`;
}
