"use client";
import { phrase } from "@/core/words";
import { memo } from "react";
import Link from "next/link";
import { STAGES, stageHref, type StageId } from "./stages";

export type Sign = "settled" | "open" | "none";

const SIGNS: Readonly<Record<Sign, { readonly path: string; readonly label: string; readonly color: string }>> = {
  settled: { path: "M1 5l3 3 6-7", label: "settled", color: "var(--pass)" },
  open: { path: "M5.5 1l5 9h-10z", label: "something to settle", color: "var(--look)" },
  none: { path: "", label: "", color: "transparent" },
};

const STEP = 108;

/** Where one is, and how each stage of a job stands. */
export interface StageNavigation {
  readonly current: StageId;
  readonly job: string;
  readonly signs: Readonly<Record<StageId, Sign>>;
}

/** The measuring tape down the left edge: its large marks are the stages, in the order of work. */
export const TapeRail = memo(function TapeRail({ current, job, signs }: StageNavigation) {
  return (
    <nav
      aria-label="Stages"
      style={{ width: 76, background: "var(--tape)", position: "relative", flexShrink: 0, overflow: "hidden" }}
    >
      <svg width={76} height="100%" style={{ position: "absolute", inset: 0 }} aria-hidden>
        <defs>
          <pattern id="ticks" width={76} height={STEP} patternUnits="userSpaceOnUse" y={66}>
            {Array.from({ length: 20 }, (_, i) => {
              const length = i === 0 ? 24 : i % 10 === 0 ? 18 : i % 5 === 0 ? 14 : 8;
              return (
                <path
                  key={i}
                  d={`M${76 - length} ${(i * STEP) / 20 + 0.5}H76`}
                  stroke="var(--tape-ink)"
                  strokeOpacity={i === 0 ? 1 : 0.55}
                  strokeWidth={i === 0 ? 2 : 1}
                />
              );
            })}
          </pattern>
        </defs>
        <rect width={76} height="100%" fill="url(#ticks)" />
      </svg>
      {STAGES.map(({ n, id, label }, i) => {
        const here = id === current;
        const sign = SIGNS[signs[id]];
        return (
          <Link
            key={id}
            href={stageHref(id, job)}
            aria-current={here ? "step" : undefined}
            aria-label={phrase`${n} ${label}${sign.label ? `, ${sign.label}` : ""}`}
            style={{
              position: "absolute",
              top: 22 + i * STEP,
              left: 0,
              width: here ? 76 : 62,
              height: 88,
              padding: "20px 0 0 9px",
              boxSizing: "border-box",
              borderRadius: "0 7px 7px 0",
              background: here ? "var(--ink)" : "transparent",
              color: here ? "var(--on-ink)" : "var(--tape-ink)",
              textDecoration: "none",
              lineHeight: 1.1,
            }}
          >
            <span
              style={{ display: "block", fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 24 }}
            >
              {n}
            </span>
            <span style={{ fontSize: 13, fontStretch: "80%", fontWeight: 500 }}>{label}</span>
            {sign.path ? (
              <svg
                width={12}
                height={12}
                viewBox="0 0 11 11"
                style={{ position: "absolute", right: here ? 10 : 2, top: 8 }}
                aria-hidden
              >
                <path d={sign.path} fill="none" stroke={here ? "var(--on-ink)" : sign.color} strokeWidth={1.7} />
              </svg>
            ) : null}
          </Link>
        );
      })}
    </nav>
  );
});
