"use client";
import Button from "@mui/material/Button";
import { useEffect } from "react";
import { jobFile } from "@/core/files/handedFile";
import { useJobStore } from "@/store/jobStore";
import { download } from "./download";

interface Props {
  readonly error: Error;
  readonly onAgain: () => void;
}

/** Shown where a page fails: the open job is still there, and can be handed over as a file before anything else. */
export function Broken({ error, onAgain }: Props) {
  const job = useJobStore((s) => s.job);
  useEffect(() => console.error("a page failed", error), [error]);
  return (
    <main role="alert" style={{ padding: 48, maxWidth: 640 }}>
      <h1>This page failed</h1>
      <p>
        That is a fault of Eland’s, not of the job.{" "}
        {job ? "Everything that was entered is still here: hand the job over as a file, then try the page again." : ""}
      </p>
      <div style={{ display: "flex", gap: 12 }}>
        {job ? (
          <Button variant="contained" onClick={() => download(jobFile(job))}>
            Job file
          </Button>
        ) : null}
        <Button variant="outlined" onClick={onAgain}>
          Try the page again
        </Button>
        {/* A whole load, as what is loaded may be what failed. */}
        <Button component="a" href="/">
          To the workroom
        </Button>
      </div>
    </main>
  );
}
