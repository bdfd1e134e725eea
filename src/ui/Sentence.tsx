import { phrase } from "@/core/words";
import { isQuantity, tellNumber, tellSum, type Sentence as Said, type Tape, type Told, partsOf } from "@/core/units";
import { Length } from "./Length";

/** A sentence with its numbers in it, on the maker's tape; a number that was worked out tells its sum on hover. */
export function Sentence({ says, tape }: { readonly says: Said; readonly tape: Tape }) {
  return (
    <>
      {partsOf(says).map((part, i) =>
        typeof part === "string" ? <span key={i}>{part}</span> : <ToldNumber key={i} told={part} tape={tape} />,
      )}
    </>
  );
}

function ToldNumber({ told, tape }: { readonly told: Told; readonly tape: Tape }) {
  if (!isQuantity(told)) {
    return told.kind === "length" ? <Length mm={told.mm} tape={tape} unit /> : <>{tellNumber(told, tape)}</>;
  }
  const length = (mm: number): string => tellNumber({ kind: "length", mm }, tape);
  const asked = told.asked === undefined ? "" : phrase` Asked ${length(told.asked)}, drawn ${length(told.mm)}.`;
  return (
    <b
      title={phrase`${tellSum(told.sum, tape)}.${told.estimated ? " Rests on an estimate." : ""}${asked}`}
      style={{ fontStyle: told.estimated ? "italic" : undefined, whiteSpace: "nowrap" }}
    >
      <Length mm={told.mm} tape={tape} unit />
    </b>
  );
}
