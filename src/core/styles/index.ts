import { palazzo } from "./palazzo";
import { straight } from "./straight";
import type { Style } from "./style";

export type { MoveEntry, Style } from "./style";

/** Every style there is, by id. */
export const STYLES: Readonly<Record<string, Style>> = { [straight.id]: straight, [palazzo.id]: palazzo };
