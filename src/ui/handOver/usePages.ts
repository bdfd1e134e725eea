import { useEffect, useState } from "react";
import type { Body } from "@/core/body";
import type { HandOver } from "@/core/derive/handOver";
import type { SizeRow } from "@/core/derive/sizeSet";
import type { Job } from "@/core/files";
import type { PagesShown } from "@/core/files/paper/pagesShown";
import { pagesOf, sizesOf } from "@/workers/client";
import { sentenceOf } from "../sentenceOf";

/** Pages as they are shown; of a size set with what it measures in each size. */
export interface Shown extends PagesShown {
  readonly sizes?: { readonly names: readonly string[]; readonly rows: readonly SizeRow[] };
}

/**
 * The pages that would be made, or why they cannot; null while they are worked out, or where there are none to show. With
 * `others` the style is drafted for those wearers too.
 */
export function usePages(
  job: Job,
  how: HandOver | null,
  others: readonly Body[] | null,
): Shown | { readonly refused: string } | null {
  const [shown, setShown] = useState<{
    of: HandOver;
    others: readonly Body[] | null;
    pages: Shown | { readonly refused: string };
  } | null>(null);
  useEffect(() => {
    if (!how) return;
    let isCurrent = true;
    const asked: Promise<Shown> = others
      ? sizesOf(job, others, how).then(({ pages, ...sizes }) => ({ ...pages, sizes }))
      : pagesOf(job, how);
    asked.then(
      (pages) => isCurrent && setShown({ of: how, others, pages }),
      (error: unknown) =>
        isCurrent &&
        setShown({ of: how, others, pages: { refused: sentenceOf(error, "The pages could not be laid out.") } }),
    );
    return () => {
      isCurrent = false;
    };
  }, [job, how, others]);
  return shown && shown.of === how && shown.others === others ? shown.pages : null;
}
