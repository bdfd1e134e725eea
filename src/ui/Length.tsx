import { lengthParts, type Mm, type Tape } from "@/core/units";

/** A length on the maker's tape: inches with real fractions, or centimetres. */
export function Length({ mm, tape, unit = false }: { readonly mm: Mm; readonly tape: Tape; readonly unit?: boolean }) {
  const parts = lengthParts(mm, tape);
  return (
    <span>
      {parts.negative ? "−" : ""}
      {parts.whole}
      {parts.fraction && parts.whole ? "\u202f" : null}
      {parts.fraction ? <span className="frac">{`${parts.fraction[0]}/${parts.fraction[1]}`}</span> : null}
      {unit ? ` ${tape}` : ""}
    </span>
  );
}
