"use client";
import { useSnackbar } from "notistack";
import type { ClothLay, LayCloth } from "@/core/cloth";
import type { HandedFile } from "@/core/files";
import type { Tape } from "@/core/units";
import { download } from "@/ui/download";
import { Quiet } from "@/ui/Quiet";
import { sentenceOf } from "@/ui/sentenceOf";

interface Props {
  readonly title: string;
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  readonly names: ReadonlyMap<string, { readonly name: string }>;
  readonly tape: Tape;
}

/** The lay as a drawing at true size, or on paper: the whole on a page, and a strip to follow at the table. */
export function SaveLay({ title, lay, cloth, names, tape }: Props) {
  const { enqueueSnackbar } = useSnackbar();
  const called = new Map([...names].map(([piece, { name }]) => [piece, name]));

  function save(making: Promise<HandedFile>): void {
    making.then(
      (file) => {
        download(file);
        enqueueSnackbar(`${file.name} is in your downloads.`);
      },
      (error: unknown) => enqueueSnackbar(sentenceOf(error, "The lay could not be saved."), { variant: "error" }),
    );
  }

  return (
    <>
      <Quiet
        onPress={() =>
          save(
            import("@/core/files/paper/layPdf").then(({ layPdf }) =>
              layPdf({ title, lay, cloth, names: called, tape }, tape === "in" ? "letter" : "a4"),
            ),
          )
        }
      >
        Print the lay
      </Quiet>
      <Quiet
        onPress={() =>
          save(import("@/core/files/drawing/laySvg").then(({ laySvg }) => laySvg(title, lay, cloth, called, tape)))
        }
      >
        Lay as a drawing
      </Quiet>
    </>
  );
}
