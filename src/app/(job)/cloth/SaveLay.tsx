"use client";
import type { ClothLay, LayCloth } from "@/core/cloth";
import type { Tape } from "@/core/units";
import { Quiet } from "@/ui/Quiet";
import { useSave } from "@/ui/useSave";

interface Props {
  readonly title: string;
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  readonly names: ReadonlyMap<string, { readonly name: string }>;
  readonly tape: Tape;
}

const SORRY = "The lay could not be saved.";

/** The lay as a drawing at true size, or on paper: the whole on a page, and a strip to follow at the table. */
export function SaveLay({ title, lay, cloth, names, tape }: Props) {
  const save = useSave();
  const called = new Map([...names].map(([piece, { name }]) => [piece, name]));

  return (
    <>
      <Quiet
        onPress={() =>
          void save(
            import("@/core/files/paper/layPdf").then(({ layPdf }) =>
              layPdf({ title, lay, cloth, names: called, tape }, tape === "in" ? "letter" : "a4"),
            ),
            SORRY,
          )
        }
      >
        Print the lay
      </Quiet>
      <Quiet
        onPress={() =>
          void save(
            import("@/core/files/drawing/laySvg").then(({ laySvg }) => laySvg(title, lay, cloth, called, tape)),
            SORRY,
          )
        }
      >
        Lay as a drawing
      </Quiet>
    </>
  );
}
