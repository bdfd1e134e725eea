import { formatLength, type Mm, type Tape } from "@/core/units";

interface Props {
  readonly long: Mm;
  readonly deep: Mm;
  /** No lay is shorter, as far as that is proved; null where it is not. */
  readonly proved: Mm | null;
  /** Height of a word on the lay. */
  readonly word: Mm;
  readonly tape: Tape;
}

/** Marks of the tape along the cut, and the numbered ones: every ten and fifty centimetres, or every four and twenty-four inches. */
const TAPE_STEP: Readonly<Record<Tape, { readonly small: Mm; readonly large: Mm }>> = {
  cm: { small: 100, large: 500 },
  in: { small: 101.6, large: 609.6 },
};

/** The tape along the lay, counted from the cut end, and the length that no lay is under. */
export function LayTape({ long, deep, proved, word, tape }: Props) {
  const step = TAPE_STEP[tape];
  const marks = Array.from({ length: Math.floor(long / step.small) + 1 }, (_, i) => i * step.small);
  return (
    <g>
      {marks.map((x, i) => {
        const isLarge = Math.abs(x / step.large - Math.round(x / step.large)) < 1e-6;
        return (
          <g key={i}>
            <path
              d={`M${x} ${deep + 40}v${isLarge ? 34 : 18}`}
              stroke="var(--quiet)"
              vectorEffect="non-scaling-stroke"
            />
            {isLarge ? (
              <text
                x={x}
                y={deep + 84 + word * 0.6}
                fontSize={word * 0.95}
                textAnchor={i === 0 ? "start" : "middle"}
                fill="var(--quiet)"
              >
                {formatLength(x, tape)}
              </text>
            ) : null}
          </g>
        );
      })}
      {proved === null ? null : (
        <>
          <path
            d={`M${proved} ${deep + 24}v56`}
            stroke="var(--text)"
            strokeWidth={2}
            strokeDasharray="2 4"
            vectorEffect="non-scaling-stroke"
          />
          <text x={proved} y={deep + 100 + word * 1.6} fontSize={word * 0.9} textAnchor="middle" fill="var(--quiet)">
            no lay is under {formatLength(proved, tape)}
          </text>
        </>
      )}
    </g>
  );
}
