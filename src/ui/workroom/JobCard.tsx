"use client";
import IconButton from "@mui/material/IconButton";
import DeleteOutlineIcon from "@mui/icons-material/DeleteOutlined";
import Link from "next/link";
import { useMemo } from "react";
import { deriveShape } from "@/core/derive";
import { STYLES } from "@/core/styles";
import type { StoredJob } from "@/store/database";
import { MiniOutline } from "../MiniOutline";
import { stageHref } from "../stages";

/** One job with its real outline in miniature. */
export function JobCard({ record, onRemove }: { readonly record: StoredJob; readonly onRemove: () => void }) {
  const { id, job } = record;
  const shape = useMemo(() => deriveShape(job), [job]);
  return (
    <li style={{ position: "relative", background: "var(--panel)", border: "1px solid var(--rule)", borderRadius: 6 }}>
      <Link
        href={stageHref("restyle", id)}
        style={{ display: "block", padding: 14, color: "inherit", textDecoration: "none" }}
      >
        <div style={{ height: 190, display: "grid", placeItems: "center" }}>
          {shape.ok ? (
            <MiniOutline panels={[shape.back, shape.front]} width={230} height={186} />
          ) : (
            <span style={{ color: "var(--look)" }}>{shape.errors[0]?.message}</span>
          )}
        </div>
        <div style={{ fontWeight: 700, fontSize: 16, marginTop: 8 }}>{job.name || "Unnamed job"}</div>
        <div style={{ color: "var(--quiet)" }}>
          {STYLES[job.style.id]?.label ?? job.style.id} for {job.body.name || "nobody yet"}
          {job.cloth?.name ? `, ${job.cloth.name}` : ""}
        </div>
      </Link>
      <IconButton
        size="small"
        aria-label={`Remove ${job.name || "this job"}`}
        onClick={onRemove}
        sx={{ position: "absolute", right: 6, top: 6 }}
      >
        <DeleteOutlineIcon fontSize="small" />
      </IconButton>
    </li>
  );
}
