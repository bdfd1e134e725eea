import { phrase } from "@/core/words";
import { STAGES } from "./stages";

/** Something that can be asked of the frame: by its keys, or by its text. */
export interface Command {
  readonly keys: string;
  readonly text: string;
  readonly run: () => void;
}

/** Keys as they stand on a keyboard. */
export const shownKeys = (keys: string): string =>
  keys.replace("$mod", "Ctrl").toUpperCase().replace("CTRL", "Ctrl").replace("SHIFT", "Shift");

/** What the keys of the frame do, beside those of the stages. */
export const KEYED = {
  front: ["f", "Front on or off"],
  back: ["b", "Back on or off"],
  ghost: ["g", "Ghost of the block on or off"],
  roll: ["r", "Roll the seams, on Pieces"],
  tape: ["t", "Lay the tape, on Pieces"],
  fit: ["0", "Fit the pattern to the table"],
  unit: ["u", "Inches or centimetres"],
  undo: ["$mod+z", "Undo"],
  redo: ["$mod+Shift+Z", "Redo"],
  handOver: ["h", "Hand over"],
  find: ["$mod+k", "Find a command"],
  keys: ["?", "The list of keys"],
  words: ["q", "What the words mean"],
  workroom: ["w", "Back to the workroom"],
} as const satisfies Readonly<Record<string, readonly [keys: string, text: string]>>;

/** Every key, and what it does, as it is printed. */
export const keyWords = (): readonly Pick<Command, "keys" | "text">[] => [
  {
    keys: phrase`${STAGES[0].n} to ${STAGES.length}`,
    text: phrase`${STAGES[0].label} to ${STAGES[STAGES.length - 1]?.label ?? ""}`,
  },
  ...Object.values(KEYED).map(([keys, text]) => ({ keys: shownKeys(keys), text })),
];
