"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Link from "next/link";
import { dayOf } from "../dayOf";
import { stageHref } from "../stages";
import type { Wearer } from "./wearers";

/** Everyone clothes are made for: when they were measured, and what was made for them. */
export function WearerList(props: {
  readonly wearers: readonly Wearer[];
  readonly onNewJob: (wearer: string) => void;
}) {
  if (props.wearers.length === 0)
    return <p style={{ color: "var(--quiet)" }}>Nobody yet: a wearer is here once a card has a name.</p>;
  return (
    <ul style={{ listStyle: "none", margin: 0, padding: 0, display: "grid", gap: 10 }}>
      {props.wearers.map(({ name, taken, jobs }) => (
        <li
          key={name}
          style={{
            display: "grid",
            gridTemplateColumns: "minmax(160px, 1fr) minmax(180px, 1fr) minmax(220px, 2fr) auto",
            gap: 16,
            alignItems: "baseline",
            padding: "10px 14px",
            background: "var(--panel)",
            border: "1px solid var(--rule)",
            borderRadius: 6,
          }}
          className="wearer"
        >
          <Link
            href={`/wearer?name=${encodeURIComponent(name)}`}
            style={{ fontSize: 16, fontWeight: 700, color: "var(--text)" }}
          >
            {name}
          </Link>
          <span style={{ color: "var(--quiet)" }}>
            {taken.length === 0 ? "card without a date" : phrase`measured ${taken.map(dayOf).join(", ")}`}
          </span>
          <span>
            {jobs.length === 0
              ? "nothing made yet"
              : jobs.map(({ id, job }, i) => (
                  <span key={id}>
                    {i > 0 ? ", " : ""}
                    <Link href={stageHref("restyle", id)}>{job.name || "Unnamed job"}</Link>
                  </span>
                ))}
          </span>
          <Button size="small" onClick={() => props.onNewJob(name)}>
            New job
          </Button>
        </li>
      ))}
    </ul>
  );
}
