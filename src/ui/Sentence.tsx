import type { Numbers } from "@/core/drafting";
import { formatLength, type Tape } from "@/core/units";
import { Length } from "./Length";

/** A sentence with its numbers in it, on the maker's tape; each number tells its sum on hover. */
export function Sentence({
  template,
  numbers,
  tape,
}: {
  readonly template: string;
  readonly numbers: Numbers;
  readonly tape: Tape;
}) {
  return (
    <>
      {template.split(/(\{\w+\})/).map((part, i) => {
        const q = part.startsWith("{") ? numbers[part.slice(1, -1)] : undefined;
        if (!q) return <span key={i}>{part}</span>;
        const asked =
          q.asked === undefined ? "" : ` Asked ${formatLength(q.asked, tape)}, drawn ${formatLength(q.mm, tape)}.`;
        return (
          <b
            key={i}
            title={`${q.formula}.${q.estimated ? " Rests on an estimate." : ""}${asked}`}
            style={{ fontStyle: q.estimated ? "italic" : undefined, whiteSpace: "nowrap" }}
          >
            <Length mm={q.mm} tape={tape} unit />
          </b>
        );
      })}
    </>
  );
}
