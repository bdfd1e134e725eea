"use client";
import Button from "@mui/material/Button";
import { useEffect, useRef } from "react";
import type { Card } from "@/core/making";
import { tell, type Tape, textOf } from "@/core/units";
import { Sentence } from "@/ui/Sentence";
import { usePhone } from "@/ui/usePhone";
import { CardPicture } from "./CardPicture";

interface Props {
  readonly cards: readonly Card[];
  readonly at: number;
  readonly tape: Tape;
  readonly onChange: (n: number) => void;
}

/** Letters on a phone, in pixels: held in the hand, long words are set smaller, so that the drawing stays beside them. */
const phoneSize = (length: number): number => (length > 280 ? 17 : length > 160 ? 20 : 23);

/** A finger that goes this far across, in pixels, turns to the next card or the one before. */
const SWIPE = 56;

/** One card at arm's length: its drawing, with what is new lit and its measures as arrows, and one act in large type. */
export function CardView({ cards, at, tape, onChange }: Props) {
  const card = cards[at - 1];
  const last = cards.length;
  const from = useRef<number | null>(null);
  const phone = usePhone();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.target as HTMLElement).closest("input, [role=combobox]")) return;
      const by = event.key === " " || event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
      if (by === 0 || last === 0) return;
      event.preventDefault();
      onChange(Math.min(last, Math.max(1, at + by)));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [at, last, onChange]);
  useEffect(() => {
    // The screen stays on while cards are open, where the device allows it.
    let lock: { release: () => Promise<void> } | null = null;
    const { wakeLock } = navigator as { wakeLock?: { request: (kind: "screen") => Promise<typeof lock> } };
    wakeLock?.request("screen").then(
      (held) => (lock = held),
      () => undefined,
    );
    return () => void lock?.release().catch(() => undefined);
  }, []);
  if (!card) return <p style={{ padding: 32, color: "var(--quiet)" }}>The cards are worked out.</p>;
  return (
    <section
      aria-label="Chalk cards"
      style={{ display: "flex", flexDirection: "column", height: "100%", touchAction: "pan-y" }}
      onPointerDown={(event) => {
        from.current = event.pointerType === "touch" ? event.clientX : null;
      }}
      onPointerUp={(event) => {
        const by = from.current === null ? 0 : event.clientX - from.current;
        from.current = null;
        if (Math.abs(by) >= SWIPE) onChange(Math.min(last, Math.max(1, at + (by < 0 ? 1 : -1))));
      }}
    >
      <div style={{ flex: 1, minHeight: 0, background: "var(--table)" }}>
        <CardPicture card={card} own={cards.filter((c) => c.drawing === card.drawing)} tape={tape} />
      </div>
      <div style={{ borderTop: "1px solid var(--rule)", background: "var(--panel)", padding: "14px 20px 16px" }}>
        <p
          aria-live="polite"
          style={{
            margin: "0 0 12px",
            fontSize: phone ? phoneSize(tell(card.says, tape).length) : 25,
            lineHeight: 1.32,
            minHeight: phone ? 0 : 132,
          }}
        >
          <Sentence says={card.says} tape={tape} />
        </p>
        <div style={{ display: "flex", gap: 12, alignItems: "center" }}>
          <Button variant="outlined" disabled={at <= 1} onClick={() => onChange(at - 1)}>
            Previous
          </Button>
          <Button variant="contained" disabled={at >= last} onClick={() => onChange(at + 1)} sx={{ minWidth: 140 }}>
            Next
          </Button>
          <span style={{ color: "var(--quiet)" }}>
            {textOf(card.name)}, card {at} of {last}
          </span>
        </div>
      </div>
    </section>
  );
}
