"use client";
import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import type { Job } from "@/core/files";
import { grainWords, leans, TURNED_GRAINS, type Piece, type TurnedGrain } from "@/core/pieces";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";

const options = (): readonly (readonly [TurnedGrain | "along", string])[] => [
  ["along", "along the cloth"],
  ...TURNED_GRAINS.map((lies) => [lies, textOf(grainWords(lies))] as const),
];

/** Lays a piece otherwise than along the cloth; along it, nothing is kept. */
function lay(draft: Job, piece: string, lies: TurnedGrain | "along"): void {
  const { [piece]: _, ...others } = draft.cloth?.grain ?? {};
  const grain = lies === "along" ? others : { ...others, [piece]: lies };
  draft.cloth = { ...draft.cloth, grain };
  if (Object.keys(grain).length === 0) delete draft.cloth.grain;
}

/** How each piece lies on the cloth. What is cut on the fold lies with the fold. */
export function Grains({ pieces }: { readonly pieces: readonly Piece[] }) {
  const free = pieces.filter((p) => p.material === "shell" && !p.cut.onFold);
  const turned = free.filter((p) => p.lies).length;
  return (
    <details style={{ margin: "8px 0" }}>
      <summary style={{ cursor: "pointer" }}>
        Grain of single pieces{turned > 0 ? phrase`: ${turned} turned` : ""}
      </summary>
      {free.map((p) => (
        <Choice
          key={p.id}
          label={textOf(p.name)}
          value={p.lies ?? "along"}
          options={options()}
          width={160}
          onChange={(lies) => changeJob((draft) => lay(draft, p.id, lies))}
        />
      ))}
      {free.some((p) => p.is.component === "legs" && leans(p.lies)) ? (
        <p style={{ color: "var(--quiet)", margin: "4px 0" }}>
          A leg off the thread may twist when it is worn: left and right lean mirrored.
        </p>
      ) : null}
    </details>
  );
}
