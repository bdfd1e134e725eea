import { legOf, rimLength } from "../pattern";
import type { Job } from "../files";
import { MOVES, type MoveContext } from "../moves";
import type { Param } from "../params";
import type { MoveEntry } from "../styles";
import { exactLength, readLength, type LengthInput, type Mm, Refusal, isStated } from "../units";
import type { MovesRun, WorksheetLine } from "./worksheetLine";

interface Made {
  readonly worksheet: readonly WorksheetLine[];
  readonly moves: readonly MoveEntry[];
}

/**
 * The hem of one leg that was asked for: of the last line that widens it, made or passed over, else of the style, unless a
 * line states a number that the hem follows. Null where none was asked for.
 */
export function askedHem(job: Job, made: Made): Mm | null {
  const lines = made.worksheet.filter((l) => l.on && l.index !== null && MOVES[l.move]?.widensHem);
  const stated = (line: WorksheetLine, decides: (param: Param) => boolean): LengthInput | undefined => {
    const own = made.moves[line.index as number]?.params ?? {};
    const params = Object.entries(MOVES[line.move]?.params ?? {});
    return params.flatMap(([name, param]) =>
      decides(param) && isStated(own[name]) ? [own[name] as LengthInput] : [],
    )[0];
  };
  const last = lines.at(-1);
  const own = last && stated(last, (param) => param.gives === "hem");
  const follows = lines.some(
    (line) => stated(line, (param) => param.gives === "hem" || param.leadsHem === true) !== undefined,
  );
  const input = own ?? (follows ? undefined : job.style.params.hemGirth);
  if (!isStated(input)) return null;
  const read = readLength(input as LengthInput, job.body.unit);
  return read.ok ? read.mm : null;
}

const CLOSE: Mm = 0.1;
const ROUNDS = 8;

/**
 * Makes the moves so that the finished hem of one leg measures what was asked of the style, along the trued edge. Where
 * lines below the one that takes the number change the hem again (pleats that run down to it), that line is given as
 * much more or less. What cannot be met is made with the number as it was asked; the proof then says by how much it is
 * missed. Throws Refusal as the moves do.
 */
export function meetingHem(context: MoveContext, make: (context: MoveContext) => MovesRun): MovesRun {
  const first = make(context);
  const input = context.styleParams.hemGirth;
  const read = isStated(input) ? readLength(input as LengthInput, context.unit) : null;
  if (!read?.ok) return first;
  const asked = read.mm;
  const given = (hem: Mm): MovesRun | null => {
    try {
      return make({ ...context, styleParams: { ...context.styleParams, hemGirth: exactLength(hem) } });
    } catch (error) {
      if (error instanceof Refusal) return null;
      throw error;
    }
  };
  let [best, hem, missed] = [first, asked, hemOf(first) - asked];
  for (let round = 0, rate = 1; round < ROUNDS && Math.abs(missed) > CLOSE; round++) {
    const next = hem - missed / rate;
    const run = given(next);
    if (!run) break;
    const miss = hemOf(run) - asked;
    // A hem that does not follow the number is given by another; one number may not make a move that the other passed over.
    if (Math.abs(miss) >= Math.abs(missed) || passedIn(run) !== passedIn(first)) break;
    rate = Math.max(0.1, (missed - miss) / (hem - next));
    [best, hem, missed] = [run, next, miss];
  }
  return best;
}

const passedIn = ({ worksheet }: MovesRun): string =>
  worksheet
    .filter((line) => line.passed !== null)
    .map((line) => line.id)
    .join();

const hemOf = ({ state }: MovesRun): Mm =>
  legOf(state.panels, "right").reduce((sum, panel) => sum + rimLength(panel, "hem"), 0);
