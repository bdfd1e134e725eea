"use client";
import { inTongue, phrase } from "@/core/words";
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { nanoid } from "nanoid";
import { useCallback, useMemo, useState } from "react";
import { MOVES } from "@/core/moves";
import { pulledOn, waistTold, type ResolvedFinish } from "@/core/finish";
import { tellSum } from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";
import { Circle, WorksheetRow } from "./WorksheetRow";

/** The moves as numbered sentences with their numbers in them, in the order they are made; order is changed by dragging. */
export function Worksheet() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [chosen, setChosen] = useState<string | null>("m3");
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const choose = useCallback((id: string) => setChosen((now) => (now === id ? null : id)), []);
  const ids = shape?.moves.map((m) => m.id).join(" ") ?? "";
  const items = useMemo(() => ids.split(" ").filter(Boolean), [ids]);
  if (!shape) return null;
  const { finish, zip } = shape;

  function dropped({ active, over }: DragEndEvent): void {
    if (!over || active.id === over.id) return;
    changeJob((draft) => {
      const moves = ownMoves(draft);
      const [from, to] = [moves.findIndex((m) => m.id === active.id), moves.findIndex((m) => m.id === over.id)];
      const [entry] = from >= 0 && to >= 0 ? moves.splice(from, 1) : [];
      if (entry) moves.splice(to, 0, entry);
    });
  }

  return (
    <section aria-label="Worksheet lines">
      <PaneHeading>Worksheet</PaneHeading>
      <DndContext
        id="worksheet"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements: spoken(shape.moves.map((m) => m.id)),
          screenReaderInstructions: { draggable: inTongue(HOW_TO_MOVE) },
        }}
        onDragEnd={dropped}
      >
        <SortableContext items={items} strategy={verticalListSortingStrategy}>
          <ol style={{ listStyle: "none", margin: 0, padding: 0 }}>
            {shape.worksheet.map((l) =>
              l.index === null ? (
                <li
                  key={l.id}
                  style={{
                    padding: "8px 0 8px 32px",
                    borderTop: "1px solid var(--rule)",
                    color: "var(--quiet)",
                    fontSize: 13,
                  }}
                >
                  <Sentence says={l.sentence} tape={tape} />
                </li>
              ) : (
                <WorksheetRow key={l.id} line={l} index={l.index} open={chosen === l.id} onChoose={choose} />
              ),
            )}
            <li style={{ padding: "10px 0", borderTop: "1px solid var(--rule)", display: "flex", gap: 10 }}>
              <Circle text={String(shape.moves.length + 1)} hot={false} />
              <div>
                <FinishWords finish={finish} />
                {zip ? (
                  <>
                    , {ZIP_WORDS[zip.at]}{" "}
                    <b title={tellSum(zip.length.sum, tape)}>
                      <Length mm={zip.length.mm} tape={tape} unit />
                    </b>
                    .
                  </>
                ) : pulledOn(finish) ? (
                  ", pulled on."
                ) : (
                  ", the closure is undecided."
                )}
              </div>
            </li>
          </ol>
        </SortableContext>
      </DndContext>
      <AddLine onAdded={setChosen} />
    </section>
  );
}

const HOW_TO_MOVE =
  "To move this line, press space, then the arrow keys; space again puts it down, Escape leaves it where it was.";

/** What is said while a line is moved, by where it comes to stand. */
function spoken(ids: readonly string[]): Announcements {
  const place = (id: UniqueIdentifier | undefined): string =>
    phrase`line ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  return {
    onDragStart: ({ active }) => phrase`Took up ${place(active.id)}.`,
    onDragOver: ({ over }) => (over ? phrase`Now at ${place(over.id)}.` : "Not over the worksheet."),
    onDragEnd: ({ over }) => (over ? phrase`Put down at ${place(over.id)}.` : "Put back where it was."),
    onDragCancel: () => "Put back where it was.",
  };
}

const ZIP_WORDS = {
  "centre-back": "zip at the centre back,",
  "centre-front": "fly in the centre front, zip",
  side: "zip down the left side,",
} as const;

/** How the waist is finished, in a few words with its depth. */
function FinishWords({ finish }: { readonly finish: ResolvedFinish }) {
  const tape = useView((v) => v.tape);
  const told = waistTold(finish);
  if (!told) return <>The waist is undecided</>;
  const { words, depth } = told;
  return (
    <>
      {words}{" "}
      {depth === null ? null : (
        <b>
          <Length mm={depth} tape={tape} unit />
        </b>
      )}
    </>
  );
}

/** A further move. One that redraws the seams is put before the first cut, where it can be made. */
function AddLine({ onAdded }: { readonly onAdded: (id: string) => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  function add(move: string): void {
    const id = nanoid(8);
    changeJob((draft) => {
      const moves = ownMoves(draft);
      const firstCut = moves.findIndex((m) => MOVES[m.move]?.redraws === false);
      const at = MOVES[move]?.redraws && firstCut >= 0 ? firstCut : moves.length;
      moves.splice(at, 0, { id, move, on: true, params: {} });
    });
    setAnchor(null);
    onAdded(id);
  }
  return (
    <>
      <Button sx={{ px: 0, mt: 0.5 }} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Add a line
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {Object.values(MOVES).map((move) => (
          <MenuItem key={move.id} onClick={() => add(move.id)} sx={{ display: "block", maxWidth: 340 }}>
            <div style={{ fontWeight: 650 }}>{move.label}</div>
            <div style={{ fontSize: 13, color: "var(--quiet)", whiteSpace: "normal" }}>{move.note}</div>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
