"use client";
import { phrase } from "@/core/words";
import { memo } from "react";
import Link from "next/link";
import { STAGES, stageHref } from "./stages";
import type { StageNavigation } from "./TapeRail";

/** The stages along the lower edge of a phone, under the thumb. */
export const StageBar = memo(function StageBar({ current, job, signs }: StageNavigation) {
  return (
    <nav
      aria-label="Stages"
      style={{ display: "flex", flexShrink: 0, background: "var(--tape)", borderTop: "1px solid var(--rule)" }}
    >
      {STAGES.map(({ n, id, label }) => {
        const here = id === current;
        const sign = signs[id];
        return (
          <Link
            key={id}
            href={stageHref(id, job)}
            aria-current={here ? "step" : undefined}
            aria-label={phrase`${n} ${label}${sign === "open" ? ", something to settle" : ""}`}
            style={{
              flex: 1,
              minHeight: 52,
              display: "grid",
              placeContent: "center",
              textAlign: "center",
              lineHeight: 1.15,
              background: here ? "var(--ink)" : "transparent",
              color: here ? "var(--on-ink)" : "var(--tape-ink)",
              textDecoration: "none",
            }}
          >
            <span style={{ fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 19 }}>{n}</span>
            <span style={{ fontSize: 13, fontStretch: "80%", fontWeight: 500 }}>{label}</span>
          </Link>
        );
      })}
    </nav>
  );
});
