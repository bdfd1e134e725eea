/** Something that can be asked of the frame: by its keys, or by its text. */
export interface Command {
  readonly keys: string;
  readonly text: string;
  readonly run: () => void;
}

/** Keys as they stand on a keyboard. */
export const shownKeys = (keys: string): string =>
  keys.replace("$mod", "Ctrl").toUpperCase().replace("CTRL", "Ctrl").replace("SHIFT", "Shift");
