"use client";
import { phrase } from "@/core/words";
import TextField from "@mui/material/TextField";
import type { Job } from "@/core/files";
import { fittingsPlanned, scheduled, type Step, type Week } from "@/core/making";
import { MOST_FITTINGS } from "@/core/making/schools";
import { dayOf } from "@/ui/dayOf";
import type { Tape } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useSave } from "@/ui/useSave";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";

const DAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"] as const;
/** An hour on weekday evenings, three on Saturdays. */
const USUAL: Week = [0, 60, 60, 60, 60, 60, 180];

interface Props {
  readonly job: Job;
  /** What is left to do. */
  readonly left: readonly Step[];
  /** Steps that have to be done before the garment can be put on. */
  readonly closing: ReadonlySet<string>;
  readonly today: string;
  readonly tape: Tape;
}

/** What is left, spread over the days there is time on; late days are said at once. */
export function PlanPane({ job, left, closing, today, tape }: Props) {
  const save = useSave();
  const plan = job.making?.plan;
  const week = plan?.week ?? USUAL;
  const found = scheduled(left, plan?.from && plan.from > today ? plan.from : today, week, plan?.due ?? null);
  const set = (more: Partial<NonNullable<NonNullable<Job["making"]>["plan"]>>): void =>
    changeJob((draft) => {
      draft.making = { ...draft.making, plan: { week: [...week], ...draft.making?.plan, ...more } };
    });
  const last = found?.days.at(-1)?.date;
  const dates = plan?.fittings ?? [];
  const fittings = found ? fittingsPlanned(found, left, dates, closing) : [];
  return (
    <section aria-label="Days of making" style={{ marginTop: 16 }}>
      <PaneHeading>Minutes on each day</PaneHeading>
      <div style={{ display: "grid", gridTemplateColumns: "repeat(4, 1fr)", gap: 6 }}>
        {DAYS.map((day, i) => (
          <TextField
            key={day}
            label={day}
            type="number"
            size="small"
            value={week[i]}
            slotProps={{ htmlInput: { min: 0, max: 1440, "aria-label": phrase`Minutes on ${day}` } }}
            onChange={(event) => {
              const next: Week = [...week];
              next[i] = Math.max(0, Math.min(1440, Number(event.target.value) || 0));
              set({ week: next });
            }}
          />
        ))}
      </div>
      <label style={{ display: "grid", gridTemplateColumns: "1fr 150px", alignItems: "center", marginTop: 8 }}>
        Due
        <TextField
          type="date"
          size="small"
          value={plan?.due ?? ""}
          slotProps={{ htmlInput: { "aria-label": "Due" } }}
          onChange={(event) => set({ due: event.target.value || undefined })}
        />
      </label>
      <label style={{ display: "grid", gridTemplateColumns: "1fr 150px", alignItems: "center", marginTop: 6 }}>
        A fitting on
        <TextField
          type="date"
          size="small"
          value=""
          disabled={dates.length >= MOST_FITTINGS}
          slotProps={{ htmlInput: { "aria-label": "A fitting on" } }}
          onChange={(event) => {
            const { value } = event.target;
            if (value && !dates.includes(value)) set({ fittings: [...dates, value].sort() });
          }}
        />
      </label>
      {fittings.map(({ date, done, open }) => (
        <p key={date} style={{ margin: "6px 0 0", lineHeight: 1.4 }}>
          <b>{dayOf(date)}</b>:{" "}
          {open === 0 ? (
            "closed by then, it can be tried on."
          ) : (
            <span style={{ color: "var(--look)" }}>
              {open} of the closing seams {open === 1 ? "is" : "are"} still open: it cannot be put on.
            </span>
          )}{" "}
          {done} of {left.length} steps done.{" "}
          <Quiet onPress={() => set({ fittings: dates.filter((d) => d !== date) })}>Take out</Quiet>
        </p>
      ))}
      <p aria-live="polite" style={{ lineHeight: 1.4, margin: "8px 0" }}>
        {found === null
          ? "No day has any time."
          : left.length === 0
            ? "Everything is done."
            : phrase`Done on ${last ? dayOf(last) : ""}, on ${found.days.length} ${found.days.length === 1 ? "day" : "days"}.`}
        {found && found.lateBy > 0 ? <b style={{ color: "var(--look)" }}> That is {found.lateBy} days late.</b> : null}
      </p>
      {found && found.days.length > 0 ? (
        <Quiet
          onPress={() =>
            void save(
              import("@/core/files/calendar").then(({ calendarOf }) => calendarOf(job.name, found.days, tape)),
              "The days could not be saved.",
            )
          }
        >
          Save the days for a calendar
        </Quiet>
      ) : null}
    </section>
  );
}
