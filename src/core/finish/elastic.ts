import type { BodyMeasures } from "../body";
import { quantity, ratio, type Mm, type Quantity, say } from "../units";
import type { FinishContext, Notion } from "./garment";

/** How long an elastic is: by a rule, or as chosen. */
export type ElasticRule = "none" | "waist" | "waist-less" | "hip-less" | Quantity;

/** What elastic or rib stretches to at most, of its relaxed length. */
export const STRETCHES = 1.8;

/** Elastic is joined into a ring with this overlap. */
export const ELASTIC_JOIN: Mm = 10;

/** Stretched, an elastic by rule passes the hip with so much to spare. */
const TO_SPARE: Mm = 20;

/** Relaxed length of a waist elastic by its rule, joined, long enough to pass the hip; null without one. */
export function elasticLength(rule: ElasticRule, { waist, hip }: BodyMeasures): Quantity | null {
  if (rule === "none") return null;
  if (typeof rule === "object") return rule;
  const own = {
    waist: quantity(waist.mm, say`waist ${waist.mm}`, { waist }),
    "waist-less": quantity(0.9 * waist.mm, say`waist ${waist.mm} less a tenth`, { waist }),
    "hip-less": quantity(hip.mm - 254, say`hip ${hip.mm} - ${254}`, { hip }),
  }[rule];
  const least = (hip.mm + TO_SPARE) / STRETCHES;
  if (own.mm >= least) return own;
  return quantity(least, say`(hip ${hip.mm} + ${TO_SPARE}) / ${ratio(STRETCHES)}, so that it passes the hip`, { hip });
}

/** Room that an elastic needs in its channel. */
export const CHANNEL_ROOM: Mm = 3;

/** What a waist holds in its channel. */
export interface Channel {
  readonly elastic: ElasticRule;
  readonly drawstring: boolean;
  readonly eyelets: boolean;
  readonly elasticWidth: Quantity | "auto";
  readonly joined: "lap" | "butt";
}

/** How wide the elastic is that runs in a channel of this depth. */
export const elasticWidthOf = ({ elasticWidth }: Pick<Channel, "elasticWidth">, channel: Mm): Mm =>
  elasticWidth === "auto" ? Math.max(4, channel - CHANNEL_ROOM) : elasticWidth.mm;

/** What is drawn into a channel of some depth: elastic, cord and its eyelets. */
export function elasticNotions(waist: Channel, channel: Mm, { measures, hip }: FinishContext): readonly Notion[] {
  const relaxed = elasticLength(waist.elastic, measures);
  const width = elasticWidthOf(waist, channel);
  const over = waist.joined === "lap" ? ELASTIC_JOIN : 0;
  return [
    ...(relaxed
      ? [
          {
            id: "elastic-waist",
            drawnIn: true as const,
            label: say`Elastic, waist, ${width} wide`,
            count: 1,
            length: quantity(
              relaxed.mm + over,
              over > 0 ? say`${relaxed.sum} + ${over} to lap it` : say`${relaxed.sum}, joined end to end over a tape`,
            ),
            note: say`Quarter the elastic and the waist, and pin them together at the quarters.`,
            caution: say`Elastic that is too tight marks the skin: try it round the waist before it is joined.`,
          },
        ]
      : []),
    ...(waist.drawstring
      ? [
          {
            id: "cord",
            drawnIn: true as const,
            label: say`Cord`,
            count: 1,
            length: quantity(hip + 250, say`hip ${hip} + ${250} to tie`),
            caution: say`No cords at the waist of children's clothes, and none loose near machinery; local rules decide.`,
          },
          ...(waist.eyelets
            ? [{ id: "eyelets", label: say`Eyelets, ${EYELET} each side of the centre front`, count: 2, length: null }]
            : []),
        ]
      : []),
  ];
}

/** An eyelet stands this far from the centre front. */
export const EYELET: Mm = 13;
