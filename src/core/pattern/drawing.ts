import { pathMap, type Path, type Point } from "../geometry";

/** What one act of drafting or restyling puts on the paper of a panel, in the panel's frame. */
export interface Drawing {
  readonly panel: string;
  /** Places it names. */
  readonly points: Readonly<Record<string, Point>>;
  /** Light lines of construction. */
  readonly guides: readonly (readonly Point[])[];
  /** Seam lines that are final with it. */
  readonly seams: readonly Path[];
  /** Cuts it makes, the wedges they open, and where they are hinged. */
  readonly slashes: readonly (readonly Point[])[];
  readonly wedges: readonly (readonly Point[])[];
  readonly hinges: readonly Point[];
}

/** A drawing on a panel of as much as is said. */
export const drawingOn = (panel: string, drawn: Partial<Omit<Drawing, "panel">> = {}): Drawing => ({
  panel,
  points: {},
  guides: [],
  seams: [],
  slashes: [],
  wedges: [],
  hinges: [],
  ...drawn,
});

/** The drawing with every place passed through `move`. */
export const drawingMoved = (drawing: Drawing, move: (p: Point) => Point): Drawing => {
  const lines = (list: readonly (readonly Point[])[]): Point[][] => list.map((line) => line.map(move));
  return {
    ...drawing,
    points: Object.fromEntries(Object.entries(drawing.points).map(([name, p]) => [name, move(p)])),
    guides: lines(drawing.guides),
    seams: drawing.seams.map((path) => pathMap(path, move)),
    slashes: lines(drawing.slashes),
    wedges: lines(drawing.wedges),
    hinges: drawing.hinges.map(move),
  };
};
