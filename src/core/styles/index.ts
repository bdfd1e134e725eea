import { palazzo } from "./palazzo";
import type { Style } from "./style";

export type { MoveEntry, Style } from "./style";

/** Every style there is, by id. */
export const STYLES: Readonly<Record<string, Style>> = { [palazzo.id]: palazzo };
