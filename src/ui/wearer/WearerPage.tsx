"use client";
import { phrase } from "@/core/words";
import Link from "next/link";
import { useSearchParams } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { measureOf, MEASURES, type MeasureKey } from "@/core/body";
import { learnedFrom, SYMPTOMS, symptomOf } from "@/core/fitting";
import { formatLength } from "@/core/units";
import { useView } from "@/store/viewStore";
import { changeOption, measuredOn } from "../cardsChart";
import { Chart, type ChartInk } from "../Chart";
import { Choice } from "../Choice";
import { dayOf } from "../dayOf";
import { PlainHeader } from "../PlainHeader";
import { PaneHeading } from "../StageLayout";
import { GarmentCard } from "./GarmentCard";
import { useWearer } from "./useWearer";

/** One wearer: how the measures have changed, every garment on the body, and what fittings have taught. */
export function WearerPage() {
  const name = useSearchParams().get("name") ?? "";
  const { isRead, isBlocked, cards, garments } = useWearer(name);
  const tape = useView((v) => v.tape);
  const [measure, setMeasure] = useState<MeasureKey>("hip");
  const points = useMemo(() => measuredOn(cards, measure), [cards, measure]);
  const option = useCallback((ink: ChartInk) => changeOption(points, tape, ink), [points, tape]);
  const learned = useMemo(
    () =>
      learnedFrom(
        garments.map((g) => g.job),
        SYMPTOMS,
      ),
    [garments],
  );
  const fittings = garments
    .flatMap(({ id, job }) => (job.fittings ?? []).map((fitting) => ({ id, job, fitting })))
    .sort((a, b) => b.fitting.date.localeCompare(a.fitting.date));
  const dates = [...new Set(cards.flatMap((c) => c.taken ?? []))].sort();
  return (
    <div style={{ minHeight: "100dvh", background: "var(--table)" }}>
      <title>{phrase`${name || "Wearer"} · Eland`}</title>
      <PlainHeader word={name || "Wearer"} />
      <main style={{ maxWidth: 1240, margin: "0 auto", padding: "18px 24px 48px" }}>
        <h1 style={{ fontFamily: '"Bricolage Grotesque Variable"', fontSize: 28, margin: "0 0 4px" }}>{name}</h1>
        <p style={{ margin: "0 0 18px", color: "var(--quiet)" }}>
          {isBlocked
            ? "The browser’s store is blocked, so nothing can be read of this wearer."
            : !isRead
              ? "Reading what is kept."
              : cards.length === 0
                ? "Nobody of this name is kept here."
                : dates.length === 0
                  ? "Measured on no date that was written down."
                  : phrase`Measured on ${dates.map(dayOf).join(", ")}.`}
        </p>
        <div className="wearer-page">
          <section aria-label="Measures by date">
            <PaneHeading>Measures by date</PaneHeading>
            <Choice
              label="Measure"
              value={measure}
              options={MEASURES.map((m) => [m.key, m.label] as const)}
              onChange={setMeasure}
              width={190}
            />
            {points.length > 1 ? (
              <Chart label={phrase`${measureOf(measure).label} on each card by date`} height={220} option={option} />
            ) : (
              <p style={{ color: "var(--quiet)" }}>
                {points.length === 1
                  ? phrase`${formatLength(points[0]?.mm ?? 0, tape)} on the only card that has it. A second card shows what changes.`
                  : "No dated card has this measure."}
              </p>
            )}
            <PaneHeading>Learned</PaneHeading>
            {learned.length === 0 ? (
              <p style={{ color: "var(--quiet)" }}>
                Nothing has come back yet: what two garments needed alike is kept here and offered to the next.
              </p>
            ) : (
              <ul style={{ listStyle: "none", padding: 0, margin: 0 }}>
                {learned.map((own) => (
                  <li key={own.label} style={{ borderTop: "1px solid var(--rule)", padding: "6px 0" }}>
                    <b>
                      {own.label}: {formatLength(Math.abs(own.change.by), tape)}
                    </b>
                    , in {own.times} garments
                    <div style={{ color: "var(--quiet)", fontSize: 13 }}>{symptomOf(own.seen).label}</div>
                  </li>
                ))}
              </ul>
            )}
            <PaneHeading>Fittings</PaneHeading>
            {fittings.length === 0 ? (
              <p style={{ color: "var(--quiet)" }}>No fitting has changed a pattern yet.</p>
            ) : null}
            <ul style={{ listStyle: "none", padding: 0, margin: 0 }}>
              {fittings.map(({ id, job, fitting }) => (
                <li key={`${id}-${fitting.id}`} style={{ borderTop: "1px solid var(--rule)", padding: "6px 0" }}>
                  <b>{dayOf(fitting.date)}</b> {symptomOf(fitting.seen).label}
                  <div style={{ color: "var(--quiet)", fontSize: 13 }}>
                    <Link href={`/diary?job=${encodeURIComponent(id)}`} style={{ color: "inherit" }}>
                      {job.name || "Unnamed job"}
                    </Link>
                    {fitting.words ? `: ${fitting.words}` : ""}
                  </div>
                </li>
              ))}
            </ul>
          </section>
          <section aria-label="Garments">
            <PaneHeading>Garments, on the body they were made for</PaneHeading>
            {isRead && garments.length === 0 ? <p style={{ color: "var(--quiet)" }}>Nothing made yet.</p> : null}
            <div style={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(190px, 1fr))", gap: 14 }}>
              {garments.map((garment) => (
                <GarmentCard key={garment.id} garment={garment} tape={tape} />
              ))}
            </div>
          </section>
        </div>
      </main>
    </div>
  );
}
