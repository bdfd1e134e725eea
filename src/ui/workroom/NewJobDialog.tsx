"use client";
import { zodResolver } from "@hookform/resolvers/zod";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { Controller, useForm, useWatch } from "react-hook-form";
import { z } from "zod";
import { newJob } from "@/core/derive/newJob";
import type { Job } from "@/core/files";
import { STYLES } from "@/core/styles";

const formSchema = z.object({
  name: z.string().trim().min(1, "Give the job a name, so that its pieces can be told apart.").max(120),
  wearer: z.string(),
  unit: z.enum(["cm", "in"]),
  style: z.string(),
});
type Form = z.infer<typeof formSchema>;

const NEW = "";

/** A new job in three choices: what it is called, who wears it, which style. */
export function NewJobDialog(props: {
  readonly cards: readonly Job["body"][];
  readonly onClose: () => void;
  readonly onMake: (job: Job) => void;
}) {
  const known = [...new Map(props.cards.filter((c) => c.name).map((c) => [c.name, c])).values()];
  const { control, handleSubmit, formState } = useForm<Form>({
    resolver: zodResolver(formSchema),
    defaultValues: { name: "", wearer: NEW, unit: "cm", style: "palazzo" },
  });
  const wearer = useWatch({ control, name: "wearer" });
  const make = (form: Form): void => {
    const card = known.find((c) => c.name === form.wearer);
    const body = card ? structuredClone(card) : { name: "", unit: form.unit, measures: {} };
    props.onMake(newJob(form.name, body, form.style, new Date().toISOString().slice(0, 10)));
  };
  return (
    <Dialog open onClose={props.onClose} fullWidth maxWidth="xs" aria-labelledby="new-job-title">
      <form onSubmit={(event) => void handleSubmit(make)(event)} noValidate>
        <DialogTitle id="new-job-title">New job</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2, pt: "8px !important" }}>
          <Controller
            name="name"
            control={control}
            render={({ field }) => (
              <TextField
                {...field}
                autoFocus
                label="Name of the job"
                error={Boolean(formState.errors.name)}
                helperText={formState.errors.name?.message}
              />
            )}
          />
          <Controller
            name="wearer"
            control={control}
            render={({ field }) => (
              <TextField {...field} select label="Wearer">
                <MenuItem value={NEW}>A new card</MenuItem>
                {known.map((c) => (
                  <MenuItem key={c.name} value={c.name}>
                    {c.name}
                  </MenuItem>
                ))}
              </TextField>
            )}
          />
          {wearer === NEW ? (
            <Controller
              name="unit"
              control={control}
              render={({ field }) => (
                <TextField {...field} select label="The new card is written in">
                  <MenuItem value="cm">centimetres</MenuItem>
                  <MenuItem value="in">inches</MenuItem>
                </TextField>
              )}
            />
          ) : null}
          <Controller
            name="style"
            control={control}
            render={({ field }) => (
              <TextField {...field} select label="Style">
                {Object.values(STYLES).map((s) => (
                  <MenuItem key={s.id} value={s.id}>
                    {s.label}
                  </MenuItem>
                ))}
              </TextField>
            )}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={props.onClose}>Close</Button>
          <Button type="submit" variant="contained">
            Make the card
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
