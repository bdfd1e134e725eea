"use client";
import type { Finish } from "@/core/finish";
import type { Job } from "@/core/files";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { JobLengthField } from "@/ui/JobLengthField";
import { PaneHeading } from "@/ui/StageLayout";

type Room = "waist" | "fastening" | "hem";

/** Gives a room of the finish an entry of its own, starting from the style's. */
function own(draft: Job, room: Room, usual: Finish): void {
  draft.finish ??= {};
  const held = draft.finish[room];
  if (held === undefined || held === "undecided") Object.assign(draft.finish, { [room]: structuredClone(usual[room]) });
}

const ALLOWANCES = [
  ["side", "Side seam"],
  ["inseam", "Inseam"],
  ["crotch", "Crotch"],
  ["zip", "Along the zip"],
  ["waist", "Waist"],
  ["band", "Band, all round"],
] as const;

/** One choice of the finish, which may also stay undecided. */
function Decision(props: {
  readonly room: Room;
  readonly label: string;
  readonly chosen: string;
  readonly decided: boolean;
}) {
  const { room, label, chosen, decided } = props;
  return (
    <Choice
      label={label}
      value={decided ? "chosen" : "undecided"}
      options={[
        ["chosen", chosen],
        ["undecided", "undecided"],
      ]}
      onChange={(value) =>
        changeJob((draft) => {
          draft.finish ??= {};
          if (value === "chosen") delete draft.finish[room];
          else Object.assign(draft.finish, { [room]: "undecided" });
        })
      }
    />
  );
}

/** Waist, closure and hem, and the allowance of every kind of seam. */
export function Finishes() {
  const { job, shape, proof } = useOpenJob();
  if (!shape) return null;
  const { finish, zip, style } = shape;
  const set = <T extends object>(room: Room): T =>
    typeof job.finish?.[room] === "object" ? (job.finish[room] as unknown as T) : ({} as T);
  const prepare = (room: Room) => (draft: Job) => own(draft, room, style.finish);
  return (
    <>
      <section aria-label="Waist">
        <PaneHeading>Waist</PaneHeading>
        <Decision room="waist" label="Edge" chosen="straight band" decided={finish.band !== null} />
        {finish.band ? (
          <>
            <JobLengthField
              label="Depth"
              path={["finish", "waist", "depth"]}
              mm={finish.band.depth.mm}
              changed={"depth" in set("waist")}
              prepare={prepare("waist")}
            />
            <Choice
              label="It sits"
              value={finish.band.sits}
              options={[
                ["above", "above the waist"],
                ["on", "on the waist"],
              ]}
              onChange={(sits) =>
                changeJob((draft) => {
                  own(draft, "waist", style.finish);
                  if (typeof draft.finish?.waist === "object") draft.finish.waist.sits = sits;
                })
              }
            />
            <p style={{ color: "var(--quiet)", fontSize: 13, margin: "0 0 6px" }}>
              {finish.band.sits === "on"
                ? "Its depth is taken off the panels."
                : "It stands above the panels; levels stay."}
            </p>
            <JobLengthField
              label="Underlap"
              path={["finish", "waist", "overlap"]}
              mm={finish.band.overlap.mm}
              changed={"overlap" in set("waist")}
              prepare={prepare("waist")}
            />
          </>
        ) : null}
      </section>
      <section aria-label="Closure" style={{ marginTop: 14 }}>
        <PaneHeading>Closure</PaneHeading>
        <Decision room="fastening" label="How it opens" chosen="zip, centre back" decided={finish.zip !== null} />
        {zip ? (
          <JobLengthField
            label="Zip, below the band"
            path={["finish", "fastening", "length"]}
            mm={zip.length.mm}
            note={zip.length.formula}
            changed={finish.zip?.length !== "auto"}
            prepare={prepare("fastening")}
          />
        ) : null}
      </section>
      <section aria-label="Hem" style={{ marginTop: 14 }}>
        <PaneHeading>Hem</PaneHeading>
        <Decision room="hem" label="How it ends" chosen="turned up" decided={finish.hem !== null} />
        {finish.hem ? (
          <JobLengthField
            label="Depth, mirrored"
            path={["finish", "hem", "depth"]}
            mm={proof?.hemDepth?.mm ?? null}
            note={proof?.hemDepth?.formula ?? ""}
            changed={finish.hem.depth !== "auto"}
            prepare={prepare("hem")}
          />
        ) : null}
      </section>
      <section aria-label="Allowances" style={{ marginTop: 14 }}>
        <PaneHeading>Allowances, firm woven cloth</PaneHeading>
        {ALLOWANCES.map(([key, label]) => (
          <JobLengthField
            key={key}
            label={label}
            path={["allowances", key]}
            mm={shape.allowances[key]}
            changed={job.allowances?.[key] !== undefined}
            prepare={(draft) => void (draft.allowances ??= {})}
          />
        ))}
      </section>
    </>
  );
}
