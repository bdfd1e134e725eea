"use client";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { setView, useView } from "@/store/viewStore";
import { shownKeys, type Command } from "./command";

/** The list of keys, and whether single ones act. */
export function KeyList({ commands }: { readonly commands: readonly Command[] }) {
  const singleKeys = useView((v) => v.singleKeys);
  return (
    <Dialog open onClose={() => setView({ helpOpen: false })} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <table style={{ borderSpacing: "0 4px" }}>
          <tbody>
            {commands
              .filter((c) => c.keys !== "")
              .map((c) => (
                <tr key={c.keys}>
                  <th scope="row" style={{ textAlign: "left", paddingRight: 24, fontWeight: 650 }}>
                    {shownKeys(c.keys)}
                  </th>
                  <td>{c.text}</td>
                </tr>
              ))}
            <tr>
              <th scope="row" style={{ textAlign: "left", paddingRight: 24 }}>
                Arrows
              </th>
              <td>Nudge the chosen number or handle one division of the tape; with Shift an inch or a centimetre</td>
            </tr>
          </tbody>
        </table>
        <FormControlLabel
          control={<Switch checked={singleKeys} onChange={(_, on) => setView({ singleKeys: on })} />}
          label="Single keys act"
        />
      </DialogContent>
    </Dialog>
  );
}
