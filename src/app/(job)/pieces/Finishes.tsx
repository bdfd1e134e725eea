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
  /** Kinds of this finish and their words. */
  readonly kinds: readonly (readonly [string, string])[];
  /** The style's own, or what the job chose over it. */
  readonly finish: Finish[Room];
  readonly style: Finish[Room];
}) {
  const { room, label, kinds, finish, style } = props;
  const kindOf = (value: Finish[Room]): string => (typeof value === "object" ? value.kind : "undecided");
  return (
    <Choice
      label={label}
      value={kindOf(finish)}
      options={[...kinds, ["undecided", "undecided"]]}
      onChange={(kind) =>
        changeJob((draft) => {
          draft.finish ??= {};
          if (kind === kindOf(style)) delete draft.finish[room];
          else Object.assign(draft.finish, { [room]: kind === "undecided" ? kind : { kind } });
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
  const finishOf = (room: Room): Pick<Parameters<typeof Decision>[0], "room" | "finish" | "style"> => ({
    room,
    finish: job.finish?.[room] ?? style.finish[room],
    style: style.finish[room],
  });
  const prepare = (room: Room) => (draft: Job) => own(draft, room, style.finish);
  return (
    <>
      <section aria-label="Waist">
        <PaneHeading>Waist</PaneHeading>
        <Decision
          {...finishOf("waist")}
          label="Edge"
          kinds={[
            ["straight-band", "straight band"],
            ["facing", "shaped facing"],
            ["cut-on-casing", "casing cut on"],
          ]}
        />
        {finish.facing ? (
          <JobLengthField
            label="Depth"
            path={["finish", "waist", "depth"]}
            mm={finish.facing.mm}
            changed={"depth" in set("waist")}
            prepare={prepare("waist")}
          />
        ) : null}
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
                  const waist = draft.finish?.waist;
                  if (typeof waist === "object" && waist.kind === "straight-band") waist.sits = sits;
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
        <Decision
          {...finishOf("fastening")}
          label="How it opens"
          kinds={[
            ["zip-centre-back", "zip, centre back"],
            ["zip-side", "zip, left side"],
            ["none", "pulled on"],
          ]}
        />
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
        <Decision
          {...finishOf("hem")}
          label="How it ends"
          kinds={[
            ["turned", "turned up"],
            ["cuff", "gathered into a cuff"],
          ]}
        />
        {finish.cuff ? (
          <JobLengthField
            label="Depth of the cuff"
            path={["finish", "hem", "depth"]}
            mm={finish.cuff.depth.mm}
            changed={"depth" in set("hem")}
            prepare={prepare("hem")}
          />
        ) : null}
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
