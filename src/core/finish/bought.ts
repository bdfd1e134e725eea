import { halvesOf, isBodice, rimLength, type Panel } from "../pattern";
import { quantity, say, type Mm } from "../units";
import type { Finishing } from "./define";
import { ELASTIC_JOIN } from "./elastic";
import type { Garment, Notion } from "./garment";
import { cuffGirth } from "./kinds/cuff";
import type { ResolvedFinish } from "./resolved";

/** Buttons of a placket: both its sides have them, one to be buttoned into the other. */
function buttons(panels: readonly Panel[]): readonly Notion[] {
  const count = Math.max(0, ...panels.map((p) => p.worn?.buttons?.count ?? 0));
  const apart = panels.find((p) => p.worn?.buttons)?.worn?.buttons?.apart ?? 0;
  if (count === 0) return [];
  return [
    {
      id: "buttons",
      label: say`Buttons, ${apart} apart`,
      count,
      length: null,
      note: say`Buttonholes lie on the same line as the buttons.`,
      caution: say`Small buttons are a choking hazard for small children; local rules decide.`,
    },
  ];
}

/** A zip is closed above by a hook: under a band or facing at the waist, or at the neck where it runs through to that. */
function hook({ waist, fastening }: ResolvedFinish, zip: Mm, panels: readonly Panel[]): readonly Notion[] {
  const isZipped = zip > 0 && (fastening?.kind === "zip-centre-back" || fastening?.kind === "zip-side");
  return isZipped && waist
    ? [
        {
          id: "hook",
          label: say`Hook and eye at the ${panels.some((p) => isBodice(p)) ? "neck" : "waist"}`,
          count: 1,
          length: null,
        },
      ]
    : [];
}

/** The web that holds a bonded hem, for both legs. */
function hemWeb({ hem }: ResolvedFinish, panels: readonly Panel[]): readonly Notion[] {
  if (hem?.kind !== "bonded") return [];
  const long = panels.reduce((sum, p) => sum + halvesOf(p) * rimLength(p, "hem"), 0);
  return [
    {
      id: "hem-web",
      label: say`Hem web`,
      count: 1,
      length: quantity(long, "both hems"),
      caution: say`Hot iron: try the web on a scrap, and press, do not slide.`,
    },
  ];
}

/** Elastic in casings that are cut on to the hems. */
function hemElastic(panels: readonly Panel[], { measures }: Finishing): readonly Notion[] {
  const channel = panels.find((p) => p.worn?.casings?.hem)?.worn?.casings?.hem?.channel;
  if (channel === undefined) return [];
  const girth = cuffGirth("auto", measures);
  return [
    {
      id: "elastic-hem",
      drawnIn: true,
      label: say`Elastic, hems, ${Math.max(4, channel - 3)} wide`,
      count: 2,
      length: quantity(
        girth + ELASTIC_JOIN,
        say`ankle, and so that the heel passes, ${girth} + ${ELASTIC_JOIN} to join it`,
      ),
      caution: say`Elastic that is too tight marks the skin: try it round the ankle before it is joined.`,
    },
  ];
}

/** What has to be bought besides cloth because of how the garment is finished as a whole. */
export const boughtFor = (garment: Garment, finish: ResolvedFinish, context: Finishing): readonly Notion[] => [
  ...buttons(garment.panels),
  ...hook(finish, context.zip, garment.panels),
  ...hemWeb(finish, garment.panels),
  ...hemElastic(garment.panels, context),
];
