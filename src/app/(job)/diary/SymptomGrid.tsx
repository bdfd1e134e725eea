"use client";
import type { Symptom } from "@/core/fitting";

/** Hips and legs of a figure, 60 wide and 78 high, as a tailor sketches them. */
const BODY = "M14 6C12 20 10 30 13 44C15 56 17 66 18 76M46 6C48 20 50 30 47 44C45 56 43 66 42 76";
const BACK_SEAM = "M30 34V58";
const FRONT_SEAM = "M30 46V58";

interface Props {
  readonly symptoms: readonly Symptom[];
  readonly chosen: string | null;
  readonly onChoose: (symptom: Symptom) => void;
}

/** What can be seen at a fitting, each drawn on the figure from its side. */
export function SymptomGrid({ symptoms, chosen, onChoose }: Props) {
  return (
    <div
      role="group"
      aria-label="What you see"
      style={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: 6 }}
    >
      {symptoms.map((symptom) => {
        const isChosen = symptom.id === chosen;
        return (
          <button
            key={symptom.id}
            type="button"
            aria-pressed={isChosen}
            onClick={() => onChoose(symptom)}
            style={{
              font: "inherit",
              fontSize: 13,
              lineHeight: 1.2,
              cursor: "pointer",
              color: "var(--text)",
              fontWeight: isChosen ? 700 : 450,
              fontStretch: "85%",
              border: `${isChosen ? 2 : 1}px solid ${isChosen ? "var(--chalk)" : "var(--rule)"}`,
              background: isChosen ? "var(--chalk-wash)" : "var(--table)",
              borderRadius: 4,
              padding: "4px 2px 6px",
              minHeight: 98,
            }}
          >
            <svg viewBox="0 0 60 80" height={58} aria-hidden style={{ display: "block", margin: "0 auto 2px" }}>
              <path
                d={BODY + (symptom.root === "back" ? BACK_SEAM : FRONT_SEAM)}
                fill="none"
                stroke="var(--text)"
                strokeWidth={1.6}
                strokeLinecap="round"
              />
              <path
                d={symptom.drawn}
                fill="none"
                stroke="var(--chalk)"
                strokeWidth={2.2}
                strokeLinecap="round"
                strokeLinejoin="round"
              />
            </svg>
            {symptom.label}
          </button>
        );
      })}
    </div>
  );
}
