import { isOf, legOf, rimLength, type Panel } from "../pattern";
import { drawnLeg, type LegPlan, type Numbers, type Passing } from "../drafting";
import { type Mm, say } from "../units";
import { levelHandle } from "./level";
import { type Handle } from "./move";

/** Knee and hem widths, pulled at both edges of both panels, both halves together or one alone; and the turn's level. */
export function shapeHandles(plan: LegPlan, numbers: Numbers, panels: readonly Panel[]): readonly Handle[] {
  const { knee, hem, start, kneeToSide, hemToSide } = numbers;
  if (!hem) return [];
  const hemLevel = plan.levels.hem;
  const turn = start && drawnLeg(plan).turns.find((t) => Math.abs(t.level - start.mm) < 0.5);
  const toSide = { knee: kneeToSide?.mm ?? 0, hem: hemToSide?.mm ?? 0 };
  return (["front", "back"] as const).flatMap((panel): Handle[] => {
    // Panels are drawn with the front mirrored.
    const way = panel === "front" ? -1 : 1;
    // What the hem measures in the end: lines below may have opened it further.
    const finished = legOf(panels, "right")
      .filter((p) => isOf(p, panel))
      .reduce((sum, p) => sum + rimLength(p, "hem"), 0);
    const handle = (
      param: "knee" | "hem",
      at: "side" | "inseam",
      passing: Passing,
      y: Mm,
      value: Mm,
      clears: readonly string[],
    ): Handle => ({
      id: `${panel}-${param}-${at}`,
      panel,
      root: panel,
      ofHem: param === "hem",
      at: [way * passing[at], y],
      axis: [way * Math.sign(passing[at] || 1), 0],
      param,
      clears,
      perMm: 4,
      value,
      label: say`${panel} ${param}`,
      reading: param === "hem" && finished > 0 ? finished : passing.side - passing.inseam,
      // One edge of front and back alone: the leg gains half as much, and half of that lies on this side of the crease.
      oneSide: {
        perMm: 2,
        also: [{ param: `${param}ToSide`, perMm: at === "side" ? 0.5 : -0.5, value: toSide[param] }],
      },
    });
    const both = (param: "knee" | "hem", passing: Passing, y: Mm, value: Mm, clears: readonly string[]): Handle[] =>
      (["side", "inseam"] as const).map((at) => handle(param, at, passing, y, value, clears));
    const turns = turn && knee && turn.level < hemLevel - 40;
    return [
      ...(turns ? both("knee", turn[panel], turn.level, knee.mm, []) : []),
      ...(hemLevel > (turn?.level ?? plan.levels.crotch) + 100
        ? both("hem", plan[panel].hem, hemLevel, hem.mm, ["out"])
        : []),
      ...(turns && Math.abs(hem.mm - knee.mm) > 0.05
        ? [
            {
              ...levelHandle(`${panel}-start`, panel, [0, turn.level], "start", turn.level, "turns at"),
              root: panel,
              inside: true,
            },
          ]
        : []),
    ];
  });
}
