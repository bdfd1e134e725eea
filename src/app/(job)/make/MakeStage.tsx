"use client";
import { useSearchParams } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import type { Derived } from "@/core/derive";
import {
  closingSteps,
  makingOrder,
  minutesLearned,
  USUAL_SCHOOLS,
  type Card,
  type CardKind,
  type Schools,
  type Taken,
} from "@/core/making";
import { listTaken } from "@/store/makingStore";
import { findLay } from "@/store/layStore";
import { localDay } from "@/store/localDay";
import { setView, useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { useAsked } from "@/ui/useAsked";
import { useRead } from "@/ui/useRead";
import { useOpenJob } from "@/ui/JobContext";
import { cardsFor } from "@/workers/client";
import { PaneTabs } from "@/ui/PaneTabs";
import { FaultNote } from "@/ui/ProofPane";
import { PaneHeading, StageLayout } from "@/ui/StageLayout";
import { Sentence } from "@/ui/Sentence";
import { CardIndex } from "./CardIndex";
import { CardView } from "./CardView";
import { CutGate } from "./CutGate";
import { HowFar } from "./HowFar";
import { ListsView } from "./ListsView";
import { OrderView } from "./OrderView";
import { PlanPane } from "./PlanPane";
import { SaveCards } from "./SaveCards";
import { SchoolsPane } from "./SchoolsPane";
import { WaitsChart } from "./WaitsChart";
import { useProgress } from "./useProgress";

const PARTS = ["cards", "order", "lists"] as const;
type Part = (typeof PARTS)[number];

const ON: readonly (readonly [CardKind, string])[] = [
  ["paper", "on paper, net"],
  ["cloth", "straight on folded cloth"],
  ["short", "short, from a cut block"],
];
const NONE: readonly Taken[] = [];
const NO_CARDS: readonly Card[] = [];

/** Stage 6: chalk cards, the order of work, and the lists. */
export function MakeStage() {
  const { id, job, shape, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const asked = useSearchParams();
  const [part, setPart] = useState<Part>("cards");
  const [seen, setSeen] = useState<string | null>(null);
  const [on, setOn] = useState<CardKind>("paper");
  const [today] = useState(() => localDay(new Date()));
  const { progress, change } = useProgress(id);
  const schools: Schools = useMemo(() => ({ ...USUAL_SCHOOLS, ...job.making }), [job.making]);
  const derived = useMemo((): Derived | null => (shape && proof ? { ...shape, ...proof } : null), [shape, proof]);
  const wantsCards = part === "cards";
  const readCards = useCallback(
    () => (wantsCards ? cardsFor(job, on, tape) : Promise.resolve(NO_CARDS)),
    [job, on, wantsCards, tape],
  );
  const cards = useAsked(readCards, "The cards could not be worked out.") ?? NO_CARDS;
  const readLay = useCallback(() => findLay(id, "shell"), [id]);
  const lay = useRead(readLay)?.lay.length ?? null;
  const taken = useRead(listTaken) ?? NONE;
  const joined = job.cloth?.joined;
  const order = useMemo(
    () => (derived ? minutesLearned(makingOrder(derived, schools, joined), taken) : []),
    [derived, schools, joined, taken],
  );
  const closing = useMemo(() => closingSteps(derived?.seams ?? [], order), [derived, order]);
  const at = Math.min(Math.max(1, progress?.cards[on] ?? 1), Math.max(1, cards.length));
  const go = useCallback(
    (n: number) => {
      setView((v) => ({ turned: v.turned + 1 }));
      change((now) => ({ ...now, cards: { ...now.cards, [on]: n } }));
    },
    [change, on],
  );
  // What the search led to is shown once; from then on the hand decides.
  if (progress && seen !== asked.toString()) {
    setSeen(asked.toString());
    const wanted = PARTS.find((p) => p === asked.get("part"));
    if (wanted) setPart(wanted);
    if (asked.has("card")) go(Math.max(1, Number(asked.get("card")) || 1));
  }
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
              <CardIndex cards={cards} at={at} onGo={go} />
            </>
          ) : part === "order" ? (
            <>
              <SchoolsPane schools={schools} />
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
          <HowFar order={order} progress={progress} />
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
          {part === "cards" && cards.length > 0 ? <SaveCards title={job.name} cards={cards} tape={tape} /> : null}
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
