import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import { type Panel, panelPath } from "@/core/pattern";
import type { Step } from "@/core/drafting";
import { pathData, pointsData } from "./layout";
import { styleOf } from "./PanelView";

const LINE = { fill: "none", vectorEffect: "non-scaling-stroke", strokeLinecap: "round" } as const;

/** A panel as far as it is drawn: earlier guide lines pale, earlier seams in the panel's ink, this step's in chalk. */
export function BuildView({
  panel,
  steps,
  upTo,
}: {
  readonly panel: Panel;
  readonly steps: readonly Step[];
  readonly upTo: number;
}) {
  const style = styleOf(panel);
  const own = steps.filter((s) => s.panel === panel.id && s.n <= upTo);
  const now = own.find((s) => s.n === upTo);
  const before = own.filter((s) => s.n < upTo);
  const finished = !steps.some((s) => s.panel === panel.id && s.n > upTo);
  return (
    <g aria-label={phrase`${textOf(panel.name)}, drawn up to step ${upTo}`} role="img">
      <path
        d={pathData(panelPath(panel), true)}
        {...LINE}
        stroke="var(--ghost)"
        strokeWidth={0.7}
        strokeOpacity={0.6}
      />
      {before.flatMap((s) =>
        s.guides.map((g, i) => (
          <path
            key={`${s.n}g${i}`}
            d={pointsData(g)}
            {...LINE}
            stroke="var(--quiet)"
            strokeWidth={0.9}
            strokeDasharray="2 4"
          />
        )),
      )}
      {before.flatMap((s) =>
        s.seams.map((d, i) => (
          <path
            key={`${s.n}d${i}`}
            d={pathData(d)}
            {...LINE}
            stroke={style.color}
            strokeWidth={2}
            strokeDasharray={style.dash}
          />
        )),
      )}
      {now?.guides.map((g, i) => (
        <path
          key={`ng${i}`}
          d={pointsData(g)}
          {...LINE}
          stroke="var(--chalk-text)"
          strokeWidth={1.4}
          strokeDasharray="6 4"
        />
      ))}
      {now?.seams.map((d, i) => (
        <path key={`nd${i}`} d={pathData(d)} {...LINE} stroke="var(--chalk)" strokeWidth={3.4} />
      ))}
      {finished ? <path d={pathData(panelPath(panel), true)} fill={style.wash} stroke="none" /> : null}
    </g>
  );
}

/** What a place of the construction is called on the paper. */
export const PLACE_WORDS: Readonly<Record<string, string>> = {
  waistCentre: "waist, centre",
  waistSide: "waist, side",
  hipSide: "hip, side",
  hipCentre: "hip, centre",
  crotchPoint: "crotch point",
  curveStart: "curve starts",
  hollow: "diagonal",
  kneeSide: "knee, side",
  kneeInseam: "knee, inseam",
  neckCentre: "neck, centre",
  neckEnd: "shoulder, neck end",
  shoulderEnd: "shoulder end",
  underarm: "underarm",
  bustPoint: "bust point",
  hemSide: "hem, side",
  hemInseam: "hem, inseam",
  creaseHem: "crease",
  creaseCrotch: "crease",
};
