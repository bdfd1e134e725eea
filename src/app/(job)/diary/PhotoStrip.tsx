"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import { useEffect, useRef, useState } from "react";
import { findPhoto, type KeptEntry } from "@/store/diaryStore";

/** A kept photo as something an `img` can show; null until it is read, or where it is missing. */
function usePhoto(id: string): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let wanted = true;
    findPhoto(id).then(
      (photo) => {
        if (!photo || !wanted) return;
        made = URL.createObjectURL(new Blob([photo.bytes.slice().buffer], { type: photo.type }));
        setUrl(made);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  return url;
}

function Thumb({ id, n, onOpen }: { readonly id: string; readonly n: number; readonly onOpen: () => void }) {
  const url = usePhoto(id);
  return (
    <button
      type="button"
      aria-label={phrase`Photo ${n}, large`}
      onClick={onOpen}
      style={{ all: "unset", cursor: "pointer", width: 62, height: 46, background: "var(--rule)", borderRadius: 3 }}
    >
      {/* The picture is a blob of this browser: there is nothing to fetch or to make smaller. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      {url ? <img src={url} alt="" style={{ width: 62, height: 46, objectFit: "cover", borderRadius: 3 }} /> : null}
    </button>
  );
}

function Large({ id }: { readonly id: string }) {
  const url = usePhoto(id);
  // eslint-disable-next-line @next/next/no-img-element
  return url ? <img src={url} alt="Photo of the fitting" style={{ maxWidth: "100%", maxHeight: "78dvh" }} /> : null;
}

interface Props {
  readonly page: KeptEntry;
  readonly busy: boolean;
  readonly onAdd: (files: readonly File[]) => void;
  readonly onDrop: (photo: string) => void;
}

/** The photos of a page, and a place to add more. */
export function PhotoStrip({ page, busy, onAdd, onDrop }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <div style={{ display: "flex", flexWrap: "wrap", gap: 6, marginTop: 6 }}>
      {page.entry.photos.map((id, i) => (
        <Thumb key={id} id={id} n={i + 1} onOpen={() => setOpen(id)} />
      ))}
      <Button
        variant="outlined"
        size="small"
        disabled={busy}
        sx={{ minHeight: 46 }}
        onClick={() => input.current?.click()}
      >
        Photo
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        multiple
        hidden
        aria-label="Photos for this page"
        onChange={(event) => {
          onAdd([...(event.target.files ?? [])]);
          event.target.value = "";
        }}
      />
      {open ? (
        <Dialog open onClose={() => setOpen(null)} maxWidth="lg" aria-label="Photo">
          <Large id={open} />
          <DialogActions>
            <Button
              onClick={() => {
                onDrop(open);
                setOpen(null);
              }}
            >
              Take it out
            </Button>
            <Button variant="contained" onClick={() => setOpen(null)}>
              Previous
            </Button>
          </DialogActions>
        </Dialog>
      ) : null}
    </div>
  );
}
