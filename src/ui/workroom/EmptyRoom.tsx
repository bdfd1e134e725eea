import Button from "@mui/material/Button";
import { NewHere } from "./NewHere";

/** What can be done in a workroom where nothing lies yet. */
export function EmptyRoom({ onStart, onSample }: { readonly onStart: () => void; readonly onSample: () => void }) {
  return (
    <div style={{ padding: "24px 0", maxWidth: 560, fontSize: 16, lineHeight: 1.5 }}>
      <p>
        Nothing is on the table yet. Start with a wearer and a style, drop a job file anywhere on this page, or look
        round the sample workroom: a travelling puppet theatre, its company and their trousers, all invented.
      </p>
      <p>
        <NewHere />
      </p>
      <Button variant="contained" onClick={onStart} sx={{ mr: 1.5 }}>
        Start a job
      </Button>
      <Button variant="outlined" onClick={onSample}>
        Lay out the sample workroom
      </Button>
    </div>
  );
}
