"use client";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { nanoid } from "nanoid";
import { useRouter } from "next/navigation";
import { keepMineAsCopy, takeTheirs, useJobStore } from "@/store/jobStore";

/** Says plainly when another tab changed the same job, or when the browser's store refuses. */
export function SaveNotice() {
  const save = useJobStore((s) => s.save);
  const notice = useJobStore((s) => s.notice);
  const router = useRouter();
  if (save === "blocked") {
    return (
      <div role="alert" style={{ padding: "6px 16px", background: "var(--chalk-wash)", color: "var(--chalk-text)" }}>
        {notice}
      </div>
    );
  }
  if (save !== "conflict") return null;
  return (
    <Dialog open aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">Changed in another tab</DialogTitle>
      <DialogContent>
        This job was saved from another tab while you changed it here. Nothing is lost: choose which to go on with.
      </DialogContent>
      <DialogActions>
        <Button onClick={() => void takeTheirs()}>Go on with the other tab’s</Button>
        <Button
          variant="contained"
          onClick={() => {
            void keepMineAsCopy(nanoid(10)).then((id) => router.push(`/restyle?job=${id}`));
          }}
        >
          Keep mine as a copy
        </Button>
      </DialogActions>
    </Dialog>
  );
}
