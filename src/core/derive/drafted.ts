import { hasLegs, isBodice, type Panel } from "../pattern";
import type { Block, Numbers, Step } from "../drafting";
import type { WorksheetLine } from "./worksheetLine";

/** All that is drafted before it is restyled: its panels, and how they are drawn, counted through, told when read. */
export interface Drafted {
  readonly panels: readonly Panel[];
  readonly steps: readonly Step[];
  readonly numbers: Numbers;
}

/** The block with what moves have drafted beside it; where the legs are left off in the end, that alone. */
export function draftedOf(block: Block, worksheet: readonly WorksheetLine[]): Drafted {
  const lines = worksheet.flatMap(({ drafted, after }) => (drafted ? [{ drafted, after }] : []));
  if (lines.length === 0) return block;
  const last = worksheet.at(-1);
  const legs = last && !hasLegs(last.after.panels) ? null : block;
  return {
    panels: [...(legs?.panels ?? []), ...lines.flatMap((l) => l.after.panels.filter((p) => isBodice(p)))],
    get steps() {
      const steps = [...(legs?.steps ?? []), ...lines.flatMap((l) => l.drafted.steps)];
      return steps.map((step, i) => ({ ...step, n: i + 1 }));
    },
    numbers: Object.assign({}, legs?.numbers, ...lines.map((l) => l.drafted.numbers)) as Numbers,
  };
}
