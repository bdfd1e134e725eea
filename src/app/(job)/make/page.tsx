"use client";
import { useSearchParams } from "next/navigation";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { Derived } from "@/core/derive";
import {
  cardsOf,
  closingSteps,
  makingOrder,
  minutesLearned,
  USUAL_SCHOOLS,
  type CardKind,
  type Schools,
  type Taken,
} from "@/core/making";
import { listTaken } from "@/store/makingStore";
import { changeJob } from "@/store/jobStore";
import { findLay } from "@/store/layStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { PaneTabs } from "@/ui/PaneTabs";
import { FaultNote } from "@/ui/ProofPane";
import { download } from "@/ui/download";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading, StageLayout } from "@/ui/StageLayout";
import { Sentence } from "@/ui/Sentence";
import { CardView } from "./CardView";
import { CutGate } from "./CutGate";
import { ListsView } from "./ListsView";
import { OrderView } from "./OrderView";
import { PlanPane } from "./PlanPane";
import { WaitsChart } from "./WaitsChart";
import { useProgress } from "./useProgress";

const PARTS = ["cards", "order", "lists"] as const;
type Part = (typeof PARTS)[number];

const ON: readonly (readonly [CardKind, string])[] = [
  ["paper", "on paper, net"],
  ["cloth", "straight on folded cloth"],
  ["short", "short, from a cut block"],
];
const CLOSING: readonly (readonly [Schools["closing"], string])[] = [
  ["crotch-first", "crotch first, inseam in one run"],
  ["legs-first", "legs first, crotch in one run"],
  ["sides-first", "sides first, shaped on the cloth"],
];
const ZIP: readonly (readonly [Schools["zip"], string])[] = [
  ["before-sides", "before the sides"],
  ["after-band", "after the band"],
  ["last", "last of all"],
];
const HEM: readonly (readonly [Schools["hem"], string])[] = [
  ["first", "when the legs are closed"],
  ["before-band", "before the band"],
  ["last", "last"],
];

/** Stage 6: chalk cards, the order of work, and the lists. */
export default function MakePage() {
  const { id, job, shape, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const asked = useSearchParams();
  const [part, setPart] = useState<Part>("cards");
  const [seen, setSeen] = useState<string | null>(null);
  const [on, setOn] = useState<CardKind>("paper");
  const [today] = useState(() => new Date().toLocaleDateString("sv-SE"));
  const { progress, change } = useProgress(id);
  const schools: Schools = useMemo(() => ({ ...USUAL_SCHOOLS, ...job.making }), [job.making]);
  const derived = useMemo((): Derived | null => (shape && proof ? { ...shape, ...proof } : null), [shape, proof]);
  const cards = useMemo(
    () => (derived && part === "cards" ? cardsOf(derived, on, tape) : []),
    [derived, on, part, tape],
  );
  const [lay, setLay] = useState<number | null>(null);
  useEffect(() => {
    let wanted = true;
    findLay(id, "shell").then(
      (kept) => wanted && setLay(kept?.lay.length ?? null),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [id]);
  const [taken, setTaken] = useState<readonly Taken[]>([]);
  useEffect(() => {
    let wanted = true;
    listTaken().then(
      (found) => wanted && setTaken(found),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  const joined = job.cloth?.joined;
  const order = useMemo(
    () => (derived ? minutesLearned(makingOrder(derived, schools, joined), taken) : []),
    [derived, schools, joined, taken],
  );
  const closing = useMemo(() => closingSteps(derived?.seams ?? [], order), [derived, order]);
  const at = Math.min(Math.max(1, progress?.cards[on] ?? 1), Math.max(1, cards.length));
  const go = useCallback((n: number) => change((now) => ({ ...now, cards: { ...now.cards, [on]: n } })), [change, on]);
  // What the search led to is shown once; from then on the hand decides.
  if (progress && seen !== asked.toString()) {
    setSeen(asked.toString());
    const wanted = PARTS.find((p) => p === asked.get("part"));
    if (wanted) setPart(wanted);
    if (asked.has("card")) go(Math.max(1, Number(asked.get("card")) || 1));
  }
  const choose = (more: Partial<Schools>): void =>
    changeJob((draft) => {
      draft.making = { ...draft.making, ...more };
    });
  const done = order.filter((o) => progress?.done[o.id]);
  const left = order.filter((o) => !progress?.done[o.id]).reduce((sum, o) => sum + o.minutes, 0);
  const names = [...new Map(cards.map((c) => [c.panel, c.name] as const)).entries()];
  return (
    <StageLayout
      worksheetLabel="Make"
      worksheetWidth={264}
      worksheet={
        <>
          <FaultNote />
          <PaneTabs<Part>
            label="Cards, order or lists"
            value={part}
            tabs={[
              ["cards", "Cards"],
              ["order", "Order"],
              ["lists", "Lists"],
            ]}
            onChange={setPart}
          />
          {part === "cards" ? (
            <>
              <Choice label="Drawn" value={on} options={ON} width="above" onChange={setOn} />
              <ul aria-label="Pieces of the cards" style={{ listStyle: "none", margin: "12px 0", padding: 0 }}>
                {names.map(([panel, name]) => {
                  const first = cards.find((c) => c.panel === panel)?.n ?? 1;
                  const isHere = cards[at - 1]?.panel === panel;
                  return (
                    <li key={panel} style={{ borderBottom: "1px solid var(--rule)" }}>
                      <button
                        type="button"
                        aria-current={isHere ? "step" : undefined}
                        onClick={() => go(first)}
                        style={{
                          all: "unset",
                          cursor: "pointer",
                          display: "flex",
                          justifyContent: "space-between",
                          width: "100%",
                          padding: "7px 0",
                          fontWeight: isHere ? 700 : 450,
                        }}
                      >
                        <span>{name}</span>
                        <span style={{ color: "var(--quiet)" }}>{cards.filter((c) => c.panel === panel).length}</span>
                      </button>
                    </li>
                  );
                })}
              </ul>
            </>
          ) : part === "order" ? (
            <>
              <PaneHeading>In which order</PaneHeading>
              <Choice
                label="Legs are closed"
                value={schools.closing}
                options={CLOSING}
                width="above"
                onChange={(closing) => choose({ closing })}
              />
              <Choice
                label="The zip"
                value={schools.zip}
                options={ZIP}
                width="above"
                onChange={(zip) => choose({ zip })}
              />
              <Choice
                label="The hem"
                value={schools.hem}
                options={HEM}
                width="above"
                onChange={(hem) => choose({ hem })}
              />
              <PlanPane
                job={job}
                left={order.filter((o) => !progress?.done[o.id])}
                closing={closing}
                today={today}
                tape={tape}
              />
            </>
          ) : null}
        </>
      }
      table={
        !derived ? (
          <p style={{ padding: 32, color: "var(--quiet)" }}>The pieces are worked out.</p>
        ) : part === "cards" ? (
          <CardView cards={cards} at={at} tape={tape} onChange={go} />
        ) : part === "order" ? (
          <OrderView
            head={<CutGate pieces={derived.pieces} progress={progress} today={today} onChange={change} />}
            order={order}
            at={Number(asked.get("step")) || null}
            pieces={derived.pieces}
            tape={tape}
            progress={progress}
            onChange={change}
          />
        ) : (
          <ListsView id={id} derived={derived} tape={tape} job={job} lay={lay} />
        )
      }
      readings={
        <>
          <PaneHeading>How far it is</PaneHeading>
          <p style={{ lineHeight: 1.45 }}>
            {done.length} of {order.length} steps done. About{" "}
            {Math.floor(left / 60) > 0 ? `${Math.floor(left / 60)} h ` : ""}
            {left % 60} min are left,{" "}
            {order.some((o) => o.isLearned)
              ? "by what your last five of a kind took, and else by guess."
              : "by guess from the length of the seams."}
          </p>
          {(derived?.undecided.length ?? 0) > 0 ? (
            <>
              <PaneHeading>Not decided yet</PaneHeading>
              <ul style={{ margin: 0, paddingLeft: 18, lineHeight: 1.4 }}>
                {derived?.undecided.map((says, i) => (
                  <li key={i}>
                    <Sentence says={says} tape={tape} />
                  </li>
                ))}
              </ul>
            </>
          ) : null}
          {part === "cards" && cards.length > 0 ? (
            <ul style={{ listStyle: "none", margin: "0 0 12px", padding: 0, lineHeight: 2 }}>
              <li>
                <Quiet
                  onPress={() =>
                    void import("@/core/files/cardsHtml").then(({ cardsHtml }) =>
                      download(cardsHtml(job.name, cards, tape)),
                    )
                  }
                >
                  Save the cards as one page
                </Quiet>
              </li>
              {(["a4", "letter"] as const).map((paper) => (
                <li key={paper}>
                  <Quiet
                    onPress={() =>
                      void import("@/core/files/paper/wallPdf")
                        .then(({ wallPdf }) => wallPdf(job.name, cards, tape, paper))
                        .then(download)
                    }
                  >
                    {`Print for the wall, ${paper === "a4" ? "A4" : "Letter"}`}
                  </Quiet>
                </li>
              ))}
            </ul>
          ) : null}
          {part === "order" && order.length > 0 ? <WaitsChart order={order} tape={tape} /> : null}
          <p style={{ color: "var(--quiet)", lineHeight: 1.45 }}>
            Space or the right arrow: next card. Left arrow: back. Cautions stand with their step; where local rules ask
            for more, those hold.
          </p>
        </>
      }
    />
  );
}
