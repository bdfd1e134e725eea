import { useEffect, useState } from "react";
import type { HandOver } from "@/core/derive/handOver";
import type { Job } from "@/core/files";
import type { PagesShown } from "@/core/files/paper/pagesShown";
import { pagesOf } from "@/workers/client";
import { sentenceOf } from "../sentenceOf";

/** The pages that would be made, or why they cannot; null while they are worked out, or where there are none to show. */
export function usePages(job: Job, how: HandOver | null): PagesShown | { readonly refused: string } | null {
  const [shown, setShown] = useState<{ of: HandOver; pages: PagesShown | { readonly refused: string } } | null>(null);
  useEffect(() => {
    if (!how) return;
    let isCurrent = true;
    pagesOf(job, how).then(
      (pages) => isCurrent && setShown({ of: how, pages }),
      (error: unknown) =>
        isCurrent && setShown({ of: how, pages: { refused: sentenceOf(error, "The pages could not be laid out.") } }),
    );
    return () => {
      isCurrent = false;
    };
  }, [job, how]);
  return shown && shown.of === how ? shown.pages : null;
}
