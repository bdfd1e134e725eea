import type { Point } from "../../geometry";

/** Releases of the format that are written: the oldest that everything reads, and the one with light polylines. */
export const DXF_VERSIONS = ["r12", "2000"] as const;
export type DxfVersion = (typeof DXF_VERSIONS)[number];

/** A value under its group code, as the format lists them. */
type Pair = readonly [code: number, value: string | number];

/** Something drawn on a layer. Lengths are millimetres, y upward. */
export type DxfEntity =
  | { readonly kind: "line"; readonly layer: string; readonly points: readonly Point[]; readonly closed: boolean }
  | { readonly kind: "point"; readonly layer: string; readonly at: Point }
  | {
      readonly kind: "text";
      readonly layer: string;
      readonly at: Point;
      readonly height: number;
      readonly text: string;
    };

/** A group of entities with a name that is placed once. */
export interface DxfBlock {
  readonly name: string;
  readonly entities: readonly DxfEntity[];
}

const FORMAT: Readonly<Record<DxfVersion, string>> = { r12: "AC1009", "2000": "AC1015" };
/** Millimetres, by the code of the header. */
const MILLIMETRES = 4;

const number = (n: number): string => (Math.round(n * 1e4) / 1e4).toFixed(4);
/** Text in the letters every reader knows; others by their number. */
const plain = (text: string): string =>
  [...text.replace(/[\r\n]+/g, " ")]
    .map((c) => {
      const code = c.codePointAt(0) as number;
      return code >= 0x20 && code < 0x7f ? c : `\\U+${code.toString(16).toUpperCase().padStart(4, "0")}`;
    })
    .join("");

/** Writes one file: `layers` by name with what they hold, `blocks` each placed at the origin. */
class Writer {
  private readonly pairs: Pair[] = [];
  private handles = 0x100;

  constructor(private readonly version: DxfVersion) {}

  private get isNew(): boolean {
    return this.version === "2000";
  }

  private put(...pairs: readonly Pair[]): void {
    this.pairs.push(...pairs);
  }

  /** Numbers and classes that the newer release wants of everything; a handle that is returned. */
  private marked(owner: string | null, ...classes: readonly string[]): string {
    const handle = (this.handles++).toString(16).toUpperCase();
    if (this.isNew) {
      this.put([5, handle]);
      if (owner !== null) this.put([330, owner]);
      this.put(...classes.map((name): Pair => [100, name]));
    }
    return handle;
  }

  private section(name: string, write: () => void): void {
    this.put([0, "SECTION"], [2, name]);
    write();
    this.put([0, "ENDSEC"]);
  }

  private table(name: string, count: number, write: (owner: string) => void): void {
    this.put([0, "TABLE"], [2, name]);
    const owner = this.marked("0", "AcDbSymbolTable");
    this.put([70, count]);
    if (name === "DIMSTYLE" && this.isNew) this.put([100, "AcDbDimStyleTable"]);
    write(owner);
    this.put([0, "ENDTAB"]);
  }

  private entry(table: string, kind: string, owner: string, ...pairs: readonly Pair[]): string {
    this.put([0, table]);
    const handle = this.marked(owner, "AcDbSymbolTableRecord", kind);
    this.put(...pairs);
    return handle;
  }

  private entity(owner: string, entity: DxfEntity): void {
    const layer: Pair = [8, entity.layer];
    const head = (kind: string, ...classes: readonly string[]): void => {
      this.put([0, kind]);
      this.marked(owner, "AcDbEntity");
      this.put(layer);
      if (this.isNew) this.put(...classes.map((name): Pair => [100, name]));
    };
    switch (entity.kind) {
      case "point":
        head("POINT", "AcDbPoint");
        return this.put([10, number(entity.at[0])], [20, number(entity.at[1])], [30, number(0)]);
      case "text":
        head("TEXT", "AcDbText");
        this.put([10, number(entity.at[0])], [20, number(entity.at[1])], [30, number(0)]);
        this.put([40, number(entity.height)], [1, plain(entity.text)]);
        if (this.isNew) this.put([100, "AcDbText"]);
        return;
      case "line":
        if (this.isNew) {
          head("LWPOLYLINE", "AcDbPolyline");
          this.put([90, entity.points.length], [70, entity.closed ? 1 : 0]);
          for (const [x, y] of entity.points) this.put([10, number(x)], [20, number(y)]);
          return;
        }
        head("POLYLINE");
        this.put([66, 1], [10, number(0)], [20, number(0)], [30, number(0)], [70, entity.closed ? 1 : 0]);
        for (const [x, y] of entity.points)
          this.put([0, "VERTEX"], layer, [10, number(x)], [20, number(y)], [30, number(0)]);
        this.put([0, "SEQEND"], layer);
    }
  }

  private header(): void {
    this.section("HEADER", () => {
      this.put([9, "$ACADVER"], [1, FORMAT[this.version]]);
      this.put([9, "$INSUNITS"], [70, MILLIMETRES]);
      this.put([9, "$MEASUREMENT"], [70, 1]);
      if (this.isNew) this.put([9, "$HANDSEED"], [5, "FFFFF"]);
    });
    if (this.isNew) this.section("CLASSES", () => undefined);
  }

  /** Tables every reader expects; answers the records that own what is in the blocks, by block name. */
  private tables(layers: readonly string[], blocks: readonly string[]): ReadonlyMap<string, string> {
    const owners = new Map<string, string>();
    this.section("TABLES", () => {
      if (this.isNew) this.table("VPORT", 0, () => undefined);
      const lines = this.isNew ? ["ByBlock", "ByLayer", "Continuous"] : ["CONTINUOUS"];
      this.table("LTYPE", lines.length, (owner) =>
        lines.forEach((name) =>
          this.entry(
            "LTYPE",
            "AcDbLinetypeTableRecord",
            owner,
            [2, name],
            [70, 0],
            [3, ""],
            [72, 65],
            [73, 0],
            [40, 0],
          ),
        ),
      );
      this.table("LAYER", layers.length, (owner) =>
        layers.forEach((name, i) =>
          this.entry(
            "LAYER",
            "AcDbLayerTableRecord",
            owner,
            [2, name],
            [70, 0],
            [62, (i % 6) + 1],
            [6, lines.at(-1) as string],
          ),
        ),
      );
      this.table("STYLE", 1, (owner) =>
        this.entry(
          "STYLE",
          "AcDbTextStyleTableRecord",
          owner,
          [2, "Standard"],
          [70, 0],
          [40, 0],
          [41, 1],
          [50, 0],
          [71, 0],
          [42, 2.5],
          [3, "txt"],
          [4, ""],
        ),
      );
      if (!this.isNew) return;
      this.table("VIEW", 0, () => undefined);
      this.table("UCS", 0, () => undefined);
      this.table("APPID", 1, (owner) => this.entry("APPID", "AcDbRegAppTableRecord", owner, [2, "ACAD"], [70, 0]));
      this.table("DIMSTYLE", 0, () => undefined);
      this.table("BLOCK_RECORD", blocks.length, (owner) =>
        blocks.forEach((name) =>
          owners.set(name, this.entry("BLOCK_RECORD", "AcDbBlockTableRecord", owner, [2, name])),
        ),
      );
    });
    return owners;
  }

  private block(owner: string, { name, entities }: DxfBlock): void {
    this.put([0, "BLOCK"]);
    this.marked(owner, "AcDbEntity");
    this.put([8, "0"]);
    if (this.isNew) this.put([100, "AcDbBlockBegin"]);
    this.put([2, name], [70, 0], [10, number(0)], [20, number(0)], [30, number(0)], [3, name]);
    if (this.isNew) this.put([1, ""]);
    for (const entity of entities) this.entity(owner, entity);
    this.put([0, "ENDBLK"]);
    this.marked(owner, "AcDbEntity");
    this.put([8, "0"]);
    if (this.isNew) this.put([100, "AcDbBlockEnd"]);
  }

  write(layers: readonly string[], blocks: readonly DxfBlock[], loose: readonly DxfEntity[]): string {
    const spaces = this.isNew ? ["*Model_Space", "*Paper_Space"] : [];
    this.header();
    const owners = this.tables(layers, [...spaces, ...blocks.map((b) => b.name)]);
    const ownerOf = (name: string): string => owners.get(name) ?? "0";
    this.section("BLOCKS", () => {
      for (const name of spaces) this.block(ownerOf(name), { name, entities: [] });
      for (const block of blocks) this.block(ownerOf(block.name), block);
    });
    const space = ownerOf("*Model_Space");
    this.section("ENTITIES", () => {
      for (const { name } of blocks) {
        this.put([0, "INSERT"]);
        this.marked(space, "AcDbEntity");
        this.put([8, "0"]);
        if (this.isNew) this.put([100, "AcDbBlockReference"]);
        this.put([2, name], [10, number(0)], [20, number(0)], [30, number(0)]);
      }
      for (const entity of loose) this.entity(space, entity);
    });
    if (this.isNew)
      this.section("OBJECTS", () => {
        this.put([0, "DICTIONARY"]);
        this.marked("0", "AcDbDictionary");
        this.put([281, 1]);
      });
    this.put([0, "EOF"]);
    return this.pairs.map(([code, value]) => `${String(code).padStart(3)}\r\n${value}`).join("\r\n") + "\r\n";
  }
}

/** A drawing in the exchange format, with named layers; every block is placed once at the origin. */
export const dxfText = (
  version: DxfVersion,
  layers: readonly string[],
  blocks: readonly DxfBlock[],
  loose: readonly DxfEntity[],
): string => new Writer(version).write(layers, blocks, loose);
