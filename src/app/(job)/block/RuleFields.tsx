"use client";
import type { Job } from "@/core/files";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { JobLengthField } from "@/ui/JobLengthField";
import { PaneHeading } from "@/ui/StageLayout";

type Group = keyof Job["block"]["rules"];

const FROM = {
  crotchDepth: [
    ["auto", "card, else hip / 4 + 2.5 cm"],
    ["hip4", "hip / 4"],
    ["crotchLength2", "crotch length / 2"],
    ["hipLine", "waist to hip"],
  ],
  frontExtension: [
    ["hip20", "hip / 20"],
    ["hip16", "hip / 16"],
    ["quarter4", "front width / 4"],
    ["hip8", "hip / 8"],
    ["thigh", "half the thigh"],
  ],
  backExtension: [
    ["hip10", "hip / 10"],
    ["front", "as the front"],
  ],
} as const;

const LENGTHS: readonly (readonly [Group, string, string])[] = [
  ["crotchDepth", "add", "Crotch depth, added"],
  ["ease", "front", "Hip ease, front"],
  ["ease", "back", "Hip ease, back"],
  ["frontExtension", "add", "Front extension, added"],
  ["backExtension", "add", "Back extension, added"],
  ["back", "rise", "Back rise"],
  ["back", "inAtWaist", "Centre back in, waist"],
  ["back", "inAtCrotch", "Centre back in, crotch"],
  ["waist", "frontIn", "Centre front in"],
  ["waist", "frontDrop", "Centre front drop"],
  ["waist", "sideRise", "Side rise"],
  ["waist", "frontLength", "Front dart length"],
  ["waist", "backLength", "Back dart length"],
  ["hollow", "front", "Front hollow, diagonal"],
  ["hollow", "back", "Back hollow, diagonal"],
  ["inseam", "backShorter", "Back inseam shorter"],
];

/** The rules of the school; one that was changed is bold and can be put back by emptying it. */
export function RuleFields() {
  const { job, shape } = useOpenJob();
  if (!shape) return null;
  const { rules, changedRules } = shape;
  const changedBy = (path: string): string | undefined => changedRules.find((c) => c.path === path)?.by;
  const prepare = (group: Group) => (draft: Job) => void (draft.block.rules[group] ??= {});
  const values = rules as unknown as Record<string, Record<string, number | string>>;
  return (
    <section aria-label="Rules">
      <PaneHeading>Rules; bold where changed, empty puts back</PaneHeading>
      {(Object.keys(FROM) as (keyof typeof FROM)[]).map((group) => (
        <Choice
          key={group}
          label={
            group === "crotchDepth"
              ? "Crotch depth from"
              : group === "frontExtension"
                ? "Front extension from"
                : "Back extension from"
          }
          value={String(values[group]?.from)}
          options={FROM[group] as readonly (readonly [string, string])[]}
          onChange={(from) =>
            changeJob((draft) => {
              prepare(group)(draft);
              Object.assign(draft.block.rules[group] as object, { from });
            })
          }
        />
      ))}
      {LENGTHS.map(([group, key, label]) => {
        const by = changedBy(`${group}.${key}`);
        return (
          <JobLengthField
            key={group + key}
            label={by === "style" ? `${label} (the style’s)` : label}
            path={["block", "rules", group, key]}
            mm={Number(values[group]?.[key])}
            negative
            changed={by !== undefined}
            prepare={prepare(group)}
          />
        );
      })}
      {Object.keys(job.block.rules).length > 0 ? (
        <button
          type="button"
          onClick={() => changeJob((draft) => void (draft.block.rules = {}))}
          style={{ all: "unset", cursor: "pointer", textDecoration: "underline" }}
        >
          Put all rules back
        </button>
      ) : null}
    </section>
  );
}
