import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { pointBetween, pointDistance } from "@/core/geometry";
import type { FoundOutline } from "@/core/files/bringIn";
import { formatLength, type Tape } from "@/core/units";
import { phrase } from "@/core/words";
import { dartKey } from "./ownTrial";

interface Props {
  readonly outline: FoundOutline;
  readonly tape: Tape;
  readonly noDarts: ReadonlySet<string>;
  readonly onNoDarts: (next: ReadonlySet<string>) => void;
}

/** Lines inside an outline that the file does not name: those that look like darts, to be left out, and how many are not taken in. */
export function InnerLinesList({ outline, tape, noDarts, onNoDarts }: Props) {
  const { darts, others } = outline.inner;
  return (
    <>
      {darts.map(([a, tip, b], i) => {
        const key = dartKey(outline, i);
        const [wide, deep] = [pointDistance(a, b), pointDistance(pointBetween(a, b, 0.5), tip)];
        return (
          <FormControlLabel
            key={key}
            sx={{ display: "flex" }}
            control={
              <Checkbox
                size="small"
                checked={!noDarts.has(key)}
                onChange={(_, on) => {
                  const next = new Set(noDarts);
                  if (on) next.delete(key);
                  else next.add(key);
                  onNoDarts(next);
                }}
              />
            }
            label={phrase`Take as a dart: ${formatLength(wide, tape)} wide, ${formatLength(deep, tape)} deep; the file does not say so`}
          />
        );
      })}
      {others.length > 0 ? (
        <p style={{ margin: "2px 0", color: "var(--quiet)" }}>
          {phrase`Neither outline nor dart, drawn pale and not taken in: ${others.length}.`}
        </p>
      ) : null}
    </>
  );
}
