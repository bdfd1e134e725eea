"use client";
import { capital } from "@/core/words";
import Button from "@mui/material/Button";
import { elasticLength, FINISHES, type AnyFinish, type Finish } from "@/core/finish";
import type { Job } from "@/core/files";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";
import { AllowanceFields } from "./AllowanceFields";
import { ClothFields } from "@/ui/ClothFields";
import { FinishEntry } from "./FinishEntry";

type Room = "waist" | "fastening" | "hem";
type Entry = Readonly<Record<string, unknown>>;

const ROOMS: readonly {
  readonly room: Room;
  readonly heading: string;
  readonly label: string;
  readonly kinds: readonly AnyFinish[];
}[] = [
  { room: "waist", heading: "Waist", label: "Edge", kinds: FINISHES.waist },
  { room: "fastening", heading: "Closure", label: "How it opens", kinds: FINISHES.fastening },
  { room: "hem", heading: "Hem", label: "How it ends", kinds: FINISHES.hem },
];

const INSIDE = [
  ["overlocked", "overlocked"],
  ["bound", "bound"],
  ["lined", "lined, laid in"],
  ["bagged", "lined, bagged out"],
  ["raw", "left raw"],
  ["undecided", "undecided"],
] as const;

const asEntry = (value: unknown): Entry => (typeof value === "object" && value !== null ? (value as Entry) : {});

/** Waist, closure, hem, pockets, belt and trims, and the allowance of every kind of seam. */
export function Finishes() {
  const { job, shape, proof } = useOpenJob();
  if (!shape) return null;
  const { finish, zip, style } = shape;
  const known = {
    waist: { elastic: elasticLength("waist-less", shape.measures) },
    fastening: { length: zip?.length ?? null },
    hem: { depth: proof?.hemDepth ?? null },
  };
  return (
    <>
      {ROOMS.map(({ room, heading, label, kinds }) => {
        const value = job.finish?.[room] ?? style.finish[room] ?? "undecided";
        const kind = typeof value === "object" ? kinds.find((k) => k.kind === value.kind) : undefined;
        return (
          <section key={room} aria-label={heading} style={{ marginBottom: 14 }}>
            <PaneHeading>{heading}</PaneHeading>
            <Choice
              label={label}
              width={158}
              value={kind?.kind ?? "undecided"}
              options={[...kinds.map((k) => [k.kind, k.words] as const), ["undecided", "undecided"]]}
              onChange={(next) => changeJob((draft) => choose(draft, room, next, style.finish[room]))}
            />
            {kind ? (
              <FinishEntry
                kind={kind}
                path={["finish", room]}
                own={asEntry(job.finish?.[room])}
                resolved={asEntry(finish[room])}
                known={known[room]}
                prepare={(draft) => keepOwn(draft, room, style.finish)}
              />
            ) : null}
          </section>
        );
      })}
      <Pockets />
      <section aria-label="Inside" style={{ marginBottom: 14 }}>
        <PaneHeading>Inside</PaneHeading>
        <Choice
          label="Inner edges"
          width={158}
          value={finish.inside ?? "undecided"}
          options={INSIDE}
          onChange={(inside) =>
            changeJob((draft) => {
              draft.finish = { ...draft.finish, inside };
            })
          }
        />
      </section>
      <Extras />
      <ClothFields />
      <AllowanceFields />
    </>
  );
}

/** Another kind of finish in a room; the style's own kind takes the style's numbers again. */
function choose(draft: Job, room: Room, kind: string, usual: Finish[Room]): void {
  draft.finish ??= {};
  const styles = typeof usual === "object" ? usual.kind : "undecided";
  if (kind === styles) delete draft.finish[room];
  else Object.assign(draft.finish, { [room]: kind === "undecided" ? kind : { kind } });
}

/** Gives a room of the finish an entry of its own, starting from the style's. */
function keepOwn(draft: Job, room: keyof Finish, usual: Finish): void {
  draft.finish ??= {};
  const held = draft.finish[room];
  if (held === undefined || held === "undecided" || held === "none") {
    Object.assign(draft.finish, { [room]: structuredClone(usual[room] ?? (room === "belt" ? {} : [])) });
  }
}

/** The pockets, one after another, and a button for each kind that can be added. */
function Pockets() {
  const { job, shape } = useOpenJob();
  if (!shape) return null;
  const { finish, style } = shape;
  const stored = job.finish?.pockets ?? style.finish.pockets ?? "undecided";
  const prepare = (draft: Job): void => keepOwn(draft, "pockets", style.finish);
  const list = Array.isArray(stored) ? stored : [];
  const change = (edit: (pockets: Record<string, unknown>[]) => void): void =>
    changeJob((draft) => {
      prepare(draft);
      if (Array.isArray(draft.finish?.pockets)) edit(draft.finish.pockets as unknown as Record<string, unknown>[]);
    });
  return (
    <section aria-label="Pockets" style={{ marginBottom: 14 }}>
      <PaneHeading>Pockets</PaneHeading>
      {stored === "undecided" ? (
        <p style={{ color: "var(--quiet)", margin: "0 0 4px" }}>Undecided.</p>
      ) : list.length === 0 ? (
        <p style={{ color: "var(--quiet)", margin: "0 0 4px" }}>None.</p>
      ) : null}
      {list.map((pocket, i) => {
        const kind = FINISHES.pocket.find((k) => k.kind === pocket.kind);
        if (!kind) return null;
        return (
          <div key={`${i}-${pocket.kind}`} style={{ marginBottom: 8 }}>
            <div style={{ display: "flex", justifyContent: "space-between", alignItems: "baseline" }}>
              <b>{capital(kind.words)}</b>
              <Button size="small" onClick={() => change((pockets) => pockets.splice(i, 1))}>
                Take out
              </Button>
            </div>
            <FinishEntry
              kind={kind}
              path={["finish", "pockets", i]}
              own={asEntry(pocket)}
              resolved={asEntry(finish.pockets?.[i])}
              prepare={prepare}
            />
          </div>
        );
      })}
      <div style={{ display: "flex", gap: 6, flexWrap: "wrap" }}>
        {FINISHES.pocket.map((k) => (
          <Button
            key={k.kind}
            size="small"
            variant="outlined"
            disabled={list.length >= 4 || list.some((p) => p.kind === k.kind)}
            onClick={() => change((pockets) => pockets.push({ kind: k.kind }))}
          >
            Add: {k.words}
          </Button>
        ))}
      </div>
    </section>
  );
}

/** Belt and trims: there or not, and their numbers. */
function Extras() {
  const { job, shape } = useOpenJob();
  if (!shape) return null;
  const { finish, style } = shape;
  const [belt] = FINISHES.belt;
  const belted = finish.belt !== null;
  const trims = job.finish?.trims ?? style.finish.trims ?? [];
  return (
    <section aria-label="Belt and trims" style={{ marginBottom: 14 }}>
      <PaneHeading>Belt and trims</PaneHeading>
      <Choice
        label="Belt"
        value={belted ? "belt" : "none"}
        options={[
          ["none", "none"],
          ["belt", belt?.words ?? ""],
        ]}
        onChange={(next) =>
          changeJob((draft) => {
            draft.finish ??= {};
            draft.finish.belt = next === "none" ? "none" : {};
          })
        }
      />
      {finish.belt && belt ? (
        <FinishEntry
          kind={belt}
          path={["finish", "belt"]}
          own={asEntry(job.finish?.belt)}
          resolved={asEntry(finish.belt)}
          prepare={(draft) => keepOwn(draft, "belt", style.finish)}
        />
      ) : null}
      {FINISHES.trim.map((kind) => {
        const i = trims.findIndex((t) => t.kind === kind.kind);
        return (
          <div key={kind.kind}>
            <Choice
              label={capital(kind.words)}
              width={84}
              value={i >= 0 ? "yes" : "no"}
              options={[
                ["no", "no"],
                ["yes", "yes"],
              ]}
              onChange={(next) =>
                changeJob((draft) => {
                  draft.finish ??= {};
                  const others = structuredClone(trims).filter((t) => t.kind !== kind.kind);
                  draft.finish.trims =
                    next === "yes" ? [...others, { kind: kind.kind } as (typeof trims)[number]] : others;
                })
              }
            />
            {i >= 0 ? (
              <FinishEntry
                kind={kind}
                path={["finish", "trims", i]}
                own={asEntry(trims[i])}
                resolved={asEntry(finish.trims[i])}
                prepare={(draft) => keepOwn(draft, "trims", style.finish)}
              />
            ) : null}
          </div>
        );
      })}
    </section>
  );
}
