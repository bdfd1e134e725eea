"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useSnackbar } from "notistack";
import { useCallback, useMemo, useRef } from "react";
import { measureOf, type Body, type MeasureKey } from "@/core/body";
import { cardsOf, useCards } from "@/store/cardStore";
import { cardId } from "@/store/database";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Chart, type ChartInk } from "@/ui/Chart";
import { changeOption, measuredOn } from "@/ui/cardsChart";
import { download } from "@/ui/download";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";
import { dayOf } from "@/ui/dayOf";

/** The wearer's cards by date: which one the job uses, a newer one if there is one, change of the measure in focus. */
export function CardHistory({ focus }: { readonly focus: MeasureKey }) {
  const { job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { cards, blocked, keep, remove } = useCards();
  const { enqueueSnackbar } = useSnackbar();
  const input = useRef<HTMLInputElement>(null);
  const { body } = job;
  const own = useMemo(() => cardsOf(cards ?? [], body.name), [cards, body.name]);
  const newest = own[own.length - 1];
  const newer = newest && (newest.card.taken ?? "") > (body.taken ?? "") ? newest : null;
  const kept = own.some((c) => JSON.stringify(c.card) === JSON.stringify(body));
  const points = useMemo(
    () => measuredOn([...own.map((c) => c.card), ...(kept ? [] : [body])], focus),
    [own, kept, body, focus],
  );
  const option = useCallback((ink: ChartInk) => changeOption(points, tape, ink), [points, tape]);
  const use = (card: Body): void => changeJob((draft) => void (draft.body = structuredClone(card)));

  async function keepThis(): Promise<void> {
    if (body.name.trim() === "" || !body.taken) {
      enqueueSnackbar(phrase`Write the wearer's name and the date of the card first.`, { variant: "warning" });
      return;
    }
    try {
      await keep([body]);
      enqueueSnackbar(phrase`The card is kept.`);
    } catch {
      enqueueSnackbar(phrase`The browser's store is full or blocked, so the card was not kept.`, { variant: "error" });
    }
  }

  async function importCsv(file: File | undefined): Promise<void> {
    if (!file) return;
    const { readCardsCsv } = await import("@/core/body/cardCsv");
    const read = readCardsCsv(await file.text());
    if (!read.ok) {
      enqueueSnackbar(read.message, { variant: "warning", autoHideDuration: 10_000 });
      return;
    }
    try {
      await keep(read.cards);
      enqueueSnackbar(
        phrase`${read.cards.length} ${read.cards.length === 1 ? "card is" : "cards are"} kept, by wearer and date.`,
      );
    } catch {
      enqueueSnackbar(phrase`The browser's store is full or blocked, so nothing was taken in.`, { variant: "error" });
    }
  }

  async function exportCsv(): Promise<void> {
    const { writeCardsCsv } = await import("@/core/body/cardCsv");
    const all = [...(cards ?? []).map((c) => c.card), ...(kept ? [] : [body])];
    download({ name: "cards.csv", type: "text/csv", bytes: new TextEncoder().encode(writeCardsCsv(all)) });
  }

  return (
    <section aria-label="Cards by date" style={{ marginTop: 18 }}>
      {newer ? (
        <div style={{ borderLeft: "4px solid var(--note)", padding: "2px 0 2px 10px", marginBottom: 12 }}>
          There is a newer card of {takenOn(newer.card)}. This job was made on the card of {takenOn(body)}.{" "}
          <Button sx={{ px: 0, textDecoration: "underline" }} onClick={() => use(newer.card)}>
            Use the newer card
          </Button>
        </div>
      ) : null}
      <PaneHeading>Cards of {body.name || "this wearer"}</PaneHeading>
      {blocked ? (
        <p style={{ color: "var(--fault)" }}>The browser’s store is blocked; kept cards cannot be read.</p>
      ) : null}
      {own.length === 0 ? (
        <p style={{ margin: "0 0 8px", color: "var(--quiet)" }}>
          No card is kept yet. Keep one at each measuring to see what changes.
        </p>
      ) : (
        <ul style={{ listStyle: "none", margin: "0 0 8px", padding: 0 }}>
          {own.map(({ id, card }) => {
            const inUse = JSON.stringify(card) === JSON.stringify(body);
            return (
              <li
                key={id}
                style={{
                  display: "grid",
                  gridTemplateColumns: "1fr auto auto",
                  gap: 8,
                  alignItems: "center",
                  borderTop: "1px solid var(--rule)",
                }}
              >
                <span style={{ fontWeight: inUse ? 700 : 450 }}>
                  {takenOn(card)}
                  {inUse ? ", in use" : ""}
                </span>
                {inUse ? <span /> : <Button onClick={() => use(card)}>Use</Button>}
                <Button
                  aria-label={phrase`Remove the card of ${takenOn(card)}`}
                  onClick={() => {
                    void remove(id).then(() =>
                      enqueueSnackbar(phrase`The card is removed.`, {
                        action: () => <Button onClick={() => void keep([card])}>Put it back</Button>,
                      }),
                    );
                  }}
                >
                  Remove
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      {points.length > 1 ? (
        <>
          <PaneHeading>{measureOf(focus).label}, by date</PaneHeading>
          <Chart label={phrase`${measureOf(focus).label} on each card by date`} height={170} option={option} />
        </>
      ) : null}
      <div style={{ display: "flex", flexWrap: "wrap", gap: 8, marginTop: 6 }}>
        <Button variant="outlined" disabled={kept} onClick={() => void keepThis()}>
          {own.some((c) => c.id === cardId(body)) && !kept ? "Keep, in place of this day’s" : "Keep this card"}
        </Button>
        <Button onClick={() => void exportCsv()}>Cards as CSV</Button>
        <Button onClick={() => input.current?.click()}>Bring in CSV</Button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          aria-label="Cards as CSV"
          hidden
          onChange={(event) => {
            void importCsv(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </div>
    </section>
  );
}

const takenOn = ({ taken }: Body): string => (taken ? dayOf(taken) : "no date");
