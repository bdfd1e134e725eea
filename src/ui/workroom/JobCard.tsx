"use client";
import { phrase } from "@/core/words";
import { sentenceOf } from "../sentenceOf";
import { tapeOf, asSentence } from "@/core/units";
import { Sentence } from "../Sentence";
import IconButton from "@mui/material/IconButton";
import Link from "next/link";
import { useEffect, useState } from "react";
import type { Job } from "@/core/files";
import type { StoredJob } from "@/store/database";
import { miniatureOf } from "@/workers/client";
import type { Miniature } from "@/workers/proof";
import { MiniOutline } from "../MiniOutline";
import { RemoveIcon } from "../icons";
import { stageHref } from "../stages";

/** The outline of a job, drawn behind the page so that the start page does not carry the engine. */
function useMiniature(job: Job): Miniature | null {
  const [drawn, setDrawn] = useState<Miniature | null>(null);
  useEffect(() => {
    let wanted = true;
    miniatureOf(job)
      .then((miniature) => wanted && setDrawn(miniature))
      .catch((error: unknown) => {
        const says = asSentence(sentenceOf(error, "This job could not be drawn."));
        if (wanted) setDrawn({ style: job.style.id, panels: [], message: says });
      });
    return () => {
      wanted = false;
    };
  }, [job]);
  return drawn;
}

/** One job with its real outline in miniature. */
export function JobCard({ record, onRemove }: { readonly record: StoredJob; readonly onRemove: () => void }) {
  const { id, job } = record;
  const drawn = useMiniature(job);
  return (
    <li style={{ position: "relative", background: "var(--panel)", border: "1px solid var(--rule)", borderRadius: 6 }}>
      <Link
        href={stageHref("restyle", id)}
        style={{ display: "block", padding: 14, color: "inherit", textDecoration: "none" }}
      >
        <div style={{ height: 190, display: "grid", placeItems: "center" }}>
          {drawn && drawn.panels.length > 0 ? (
            <MiniOutline panels={drawn.panels} width={230} height={186} />
          ) : (
            <span style={{ color: "var(--look)" }}>
              {drawn?.message ? <Sentence says={drawn.message} tape={tapeOf(job.body.unit)} /> : null}
            </span>
          )}
        </div>
        <div style={{ fontWeight: 700, fontSize: 16, marginTop: 8 }}>{job.name || "Unnamed job"}</div>
        <div style={{ color: "var(--quiet)" }}>
          {drawn?.style ?? job.style.id} for {job.body.name || "nobody yet"}
          {job.cloth?.name ? `, ${job.cloth.name}` : ""}
        </div>
      </Link>
      <IconButton
        size="small"
        aria-label={phrase`Remove ${job.name || "this job"}`}
        onClick={onRemove}
        sx={{ position: "absolute", right: 6, top: 6 }}
      >
        <RemoveIcon fontSize="small" />
      </IconButton>
    </li>
  );
}
