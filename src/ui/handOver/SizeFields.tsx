"use client";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useMemo } from "react";
import type { Body } from "@/core/body";
import type { HandOver } from "@/core/derive/handOver";
import { MOST_SIZES } from "@/core/derive/sizeLimit";
import { useCards } from "@/store/cardStore";
import { Choice } from "../Choice";
import { PaneHeading } from "../StageLayout";
import { wearersOf } from "../workroom/wearers";

/** How a size set leaves. */
export type SizeForm = "nested" | "svg" | "r12" | "2000" | "each";

const FORMS: readonly (readonly [SizeForm, string])[] = [
  ["nested", "PDF, sizes nested"],
  ["svg", "SVG, sizes nested"],
  ["r12", "DXF R12, all sizes"],
  ["2000", "DXF 2000, all sizes"],
  ["each", "a PDF for each, in a zip"],
];

/** What a form is written as. */
export const sizeFormat = (form: SizeForm): Pick<HandOver, "format"> & Partial<Pick<HandOver, "dxf">> => {
  if (form === "svg") return { format: "svg" };
  return form === "r12" || form === "2000" ? { format: "dxf", dxf: form } : { format: "pdf" };
};

interface Props {
  readonly own: Body;
  readonly others: readonly Body[];
  readonly as: SizeForm;
  readonly onOthers: (others: readonly Body[]) => void;
  readonly onAs: (as: SizeForm) => void;
}

/** For whom the style is drafted besides its own wearer, by the newest card of each, and how the set leaves. */
export function SizeFields({ own, others, as, onOthers, onAs }: Props) {
  const { cards, blocked } = useCards();
  const newest = useMemo(
    () =>
      wearersOf([], cards ?? [])
        .filter(({ name }) => name !== own.name.trim())
        .map(({ card }) => card),
    [cards, own.name],
  );
  return (
    <section aria-label="Sizes">
      <PaneHeading>For whom, besides {own.name.trim() || "this wearer"}</PaneHeading>
      {newest.length === 0 ? (
        <p style={{ color: "var(--quiet)", margin: "4px 0" }}>
          {blocked
            ? "The cards of this browser cannot be read just now."
            : "No other cards are kept. Keep a wearer’s card on the Body stage, or bring in a table of measures there: every row is a size."}
        </p>
      ) : null}
      {newest.map((card) => {
        const isOn = others.some((o) => o.name === card.name);
        return (
          <FormControlLabel
            key={card.name}
            sx={{ display: "flex" }}
            control={
              <Checkbox
                checked={isOn}
                disabled={!isOn && others.length >= MOST_SIZES - 1}
                onChange={(_, isNow) =>
                  onOthers(isNow ? [...others, card] : others.filter((o) => o.name !== card.name))
                }
              />
            }
            label={card.name}
          />
        );
      })}
      <Choice label="As" value={as} options={FORMS} onChange={onAs} width={210} />
    </section>
  );
}
