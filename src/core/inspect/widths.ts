import { isOf, panelWidthAt, sectionWidth, type Panel } from "../pattern";
import type { Point } from "../geometry";
import type { Mm } from "../units";
import type { EaseAt } from "./readings";

/** Where each millimetre of the front, the back or another part goes at a level, from the crease out; the parts add up to the cut width. */
export interface WidthParts {
  readonly panel: string;
  /** Share of the body's girth at this level; what the panel lacks for it shows as negative ease. */
  readonly body: Mm;
  readonly ease: Mm;
  readonly dart: Mm;
  /** What slashes have opened. */
  readonly opening: Mm;
  readonly allowance: Mm;
  /** Width on the seam lines. */
  readonly width: Mm;
}

export interface WidthBudget {
  readonly y: Mm;
  readonly parts: readonly WidthParts[];
}

interface Sources {
  readonly panels: readonly Panel[];
  readonly easeProfile: readonly EaseAt[];
  /** Level of the crotch line: above it the girth goes round the body, below it round one leg. */
  readonly crotch: Mm;
  /** Wedges opened by slashing, by panel. */
  readonly wedges: readonly { readonly panel: string; readonly wedges: readonly (readonly Point[])[] }[];
  readonly allowances: { readonly side: Mm; readonly inseam: Mm; readonly crotch: Mm };
}

/** The body's girth at any level, between the levels where it is known; a leg's girth below the crotch line. */
function bodyAt(profile: readonly EaseAt[], y: Mm, crotch: Mm): Mm {
  const torso = profile.filter((p) => p.level === "waist" || p.level === "hip");
  const leg = profile.filter((p) => p.level !== "waist" && p.level !== "hip");
  const run = y <= crotch ? torso : leg;
  const [first, last] = [run[0], run[run.length - 1]];
  if (!first || !last) return 0;
  if (y <= first.y) return first.body;
  for (let i = 1; i < run.length; i++) {
    const [a, b] = [run[i - 1] as EaseAt, run[i] as EaseAt];
    if (y <= b.y) return a.body + ((b.body - a.body) * (y - a.y)) / (b.y - a.y || 1);
  }
  return last.body;
}

interface Part {
  readonly id: string;
  /** Front or back, which cover a quarter of the body each. */
  readonly isLeg: boolean;
  readonly panels: readonly Panel[];
}

/** Front and back, each with all that was cut from it, then every other part. */
function partsOf(panels: readonly Panel[]): readonly Part[] {
  const roots = (["front", "back"] as const).map((id) => ({
    id,
    isLeg: true,
    panels: panels.filter((p) => isOf(p, id)),
  }));
  const others = panels.filter((p) => !isOf(p, "front") && !isOf(p, "back"));
  return [...roots.filter((r) => r.panels.length > 0), ...others.map((p) => ({ id: p.id, isLeg: false, panels: [p] }))];
}

/**
 * The width budget of one leg at a level `y` (mm below the natural waist): body, ease, dart, opening and
 * allowance. The body is shared as the tape is: quarters above the crotch line, below it halves of the leg in the
 * proportion of the panels.
 */
export function widthBudget(sources: Sources, y: Mm): WidthBudget {
  const { panels, easeProfile, crotch, allowances } = sources;
  const girth = bodyAt(easeProfile, y, crotch);
  const groups = partsOf(panels);
  const widths = groups.map((group) => group.panels.reduce((sum, panel) => sum + panelWidthAt(panel, y), 0));
  const total = widths.reduce((sum, w) => sum + w, 0);
  return {
    y,
    parts: groups.map((group, i): WidthParts => {
      const own = widths[i] as Mm;
      if (own === 0) return { panel: group.id, body: 0, ease: 0, dart: 0, opening: 0, allowance: 0, width: 0 };
      const dart = group.panels
        .flatMap((panel) => panel.lines)
        .filter((l) => l.kind === "dart")
        .reduce((sum, l) => sum + sectionWidth(l.points, y), 0);
      const opening = sources.wedges
        .filter((w) => group.panels.some((panel) => panel.id === w.panel))
        .flatMap((w) => w.wedges)
        .reduce((sum, wedge) => sum + sectionWidth(wedge, y), 0);
      const quarter = group.isLeg ? girth / 4 : 0;
      const body = y <= crotch ? quarter : girth * (own / total);
      const inner = y <= crotch ? allowances.crotch : allowances.inseam;
      return {
        panel: group.id,
        body,
        dart,
        opening,
        ease: own - dart - opening - body,
        allowance: allowances.side + inner,
        width: own,
      };
    }),
  };
}
