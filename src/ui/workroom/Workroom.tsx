"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import dynamic from "next/dynamic";
import Link from "next/link";
import { useRouter, useSearchParams } from "next/navigation";
import { closeSnackbar, useSnackbar } from "notistack";
import { useEffect, useRef, useState, type DragEvent } from "react";
import type { Job } from "@/core/files";
import type { StoredJob } from "@/store/database";
import { sizeInWords } from "@/store/room";
import { OpenIcon } from "../icons";
import { PaneTabs } from "../PaneTabs";
import { PlainHeader } from "../PlainHeader";
import { TongueChoice } from "../words/TongueChoice";
import { stageHref } from "../stages";
import { StoreNotice } from "../StoreNotice";
import { usePhone } from "../usePhone";
import { BinList } from "./BinList";
import { useFiles } from "./useFiles";
import { EmptyRoom } from "./EmptyRoom";
import { ExampleList } from "./ExampleList";
import { FindJobs } from "./FindJobs";
import { JobCard } from "./JobCard";
import type { NewJobStart } from "./NewJobDialog";
import { NewHere } from "./NewHere";
import { OwnStyleList } from "./OwnStyleList";
import { UnreadableList } from "./UnreadableList";
import { useWorkroom } from "./useWorkroom";
import { WearerList } from "./WearerList";
import { foundJobs, wearersOf, type SortBy } from "./wearers";

/** Forms are fetched when first opened; the page itself stays light. */
const ArrivingDialog = dynamic(() => import("./ArrivingDialog").then((m) => m.ArrivingDialog), { ssr: false });
const NewJobDialog = dynamic(() => import("./NewJobDialog").then((m) => m.NewJobDialog), { ssr: false });

const CANNOT_KEEP = "The browser’s store is full or blocked, so the job was not kept. Make room, and try again.";

const NOT_DONE = "The browser’s store is full or blocked, so nothing was changed. Try again.";

type Shown = "jobs" | "wearers" | "styles" | "examples";

/** The start page: jobs with their pattern in miniature, wearers, own styles, worked examples; files by choosing or dropping. */
export function Workroom() {
  const {
    room,
    taken,
    failed,
    reload,
    add,
    addFile,
    remove,
    restore,
    empty: emptyBin,
    addSample,
    dropStyle,
  } = useWorkroom();
  const router = useRouter();
  const phone = usePhone();
  const wantsSample = useSearchParams().get("workroom") === "sample";
  const { enqueueSnackbar } = useSnackbar();
  const [making, setMaking] = useState<NewJobStart | null>(null);
  const [shown, setShown] = useState<Shown>("jobs");
  const [search, setSearch] = useState("");
  const [sort, setSort] = useState<SortBy>("changed");
  const [dropping, setDropping] = useState(false);
  const chooser = useRef<HTMLInputElement>(null);
  const list = room?.jobs ?? [];
  const empty = room !== null && list.length === 0;
  const found = foundJobs(list, search, sort);
  const wearers = wearersOf(list, room?.cards ?? []);

  useEffect(() => {
    if (wantsSample && empty) void addSample();
  }, [wantsSample, empty, addSample]);

  const files = useFiles({
    openJob: addFile,
    onJob: (id) => router.push(stageHref("body", id)),
    reload,
  });

  /** Keeps a new job and opens its card; what the store refuses is said. */
  const keep = (job: Job): Promise<void> =>
    add(job).then(
      (id) => router.push(stageHref("body", id)),
      () => void enqueueSnackbar(CANNOT_KEEP, { variant: "error" }),
    );

  /** What the store refuses is said. */
  const said = (done: Promise<void>): Promise<void> =>
    done.catch(() => void enqueueSnackbar(NOT_DONE, { variant: "error" }));

  async function takeAway(record: StoredJob): Promise<void> {
    const binned = await remove(record);
    enqueueSnackbar(phrase`${record.job.name || "The job"} was removed.`, {
      action: (key) => (
        <Button
          color="inherit"
          onClick={() => {
            closeSnackbar(key);
            void said(restore(binned));
          }}
        >
          Put it back
        </Button>
      ),
    });
  }

  return (
    <div
      style={{ minHeight: "100dvh", background: dropping ? "var(--chalk-wash)" : "var(--table)" }}
      onDragOver={(event: DragEvent) => {
        event.preventDefault();
        setDropping(true);
      }}
      onDragLeave={() => setDropping(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        setDropping(false);
        void files.takeFiles([...event.dataTransfer.files]);
      }}
    >
      <PlainHeader word={phone ? null : "The workroom"}>
        <TongueChoice />
        {phone ? (
          <IconButton
            aria-label="Open a file"
            color="inherit"
            disabled={files.busy}
            onClick={() => chooser.current?.click()}
          >
            <OpenIcon />
          </IconButton>
        ) : (
          <Button
            variant="outlined"
            color="inherit"
            sx={{ whiteSpace: "nowrap" }}
            disabled={files.busy}
            onClick={() => chooser.current?.click()}
          >
            Open a file
          </Button>
        )}
        {phone ? null : (
          <Button variant="outlined" color="inherit" sx={{ whiteSpace: "nowrap" }} component={Link} href="/practice">
            Practice
          </Button>
        )}
        {phone || empty ? null : (
          <Button
            variant="outlined"
            color="inherit"
            sx={{ whiteSpace: "nowrap" }}
            disabled={files.busy}
            onClick={() => void files.handOver()}
          >
            Hand over the workroom
          </Button>
        )}
        <Button
          variant="contained"
          onClick={() => setMaking({})}
          sx={{
            whiteSpace: "nowrap",
            bgcolor: "#e8791f",
            color: "#14120c",
            fontSize: 15,
            "&:hover": { bgcolor: "#f08b3a" },
          }}
        >
          New job
        </Button>
        <input
          ref={chooser}
          type="file"
          accept=".json,application/json,.zip,application/zip"
          aria-label="Job or workroom file"
          multiple
          hidden
          onChange={(event) => {
            void files.takeFiles([...(event.target.files ?? [])]);
            event.target.value = "";
          }}
        />
      </PlainHeader>
      <StoreNotice />
      <main style={{ padding: "20px 24px 48px", maxWidth: 1400, margin: "0 auto" }}>
        <h1 style={{ fontFamily: '"Bricolage Grotesque Variable"', fontSize: 26, margin: "0 0 8px" }}>The workroom</h1>
        {failed ? <p role="alert">The browser’s store does not answer. Load this page again.</p> : null}
        <div style={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: "8px 20px", marginBottom: 16 }}>
          <div style={{ width: 460, maxWidth: "100%" }}>
            <PaneTabs<Shown>
              label="What lies in the workroom"
              value={shown}
              tabs={[
                ["jobs", "Jobs"],
                ["wearers", "Wearers"],
                ["styles", "Own styles"],
                ["examples", "Worked examples"],
              ]}
              onChange={setShown}
            />
          </div>
          {shown === "jobs" && list.length > 0 ? (
            <FindJobs search={search} sort={sort} onSearch={setSearch} onSort={setSort} />
          ) : null}
        </div>
        {shown === "jobs" ? (
          <>
            {empty ? (
              <EmptyRoom onStart={() => setMaking({})} onSample={() => void addSample()} />
            ) : (
              <p style={{ color: "var(--quiet)", margin: "0 0 16px" }}>
                Kept in this browser only
                {taken ? phrase`, ${sizeInWords(taken.used)} of the ${sizeInWords(taken.whole)} it gives` : ""}. Drop
                job files, or a whole workroom’s, anywhere to open them. <NewHere />
                {search.trim() !== "" && found.length === 0 ? " No job holds these words." : ""}
              </p>
            )}
            <ul
              style={{
                listStyle: "none",
                margin: 0,
                padding: 0,
                display: "grid",
                gridTemplateColumns: "repeat(auto-fill, minmax(270px, 1fr))",
                gap: 20,
              }}
            >
              {found.map((record) => (
                <JobCard key={record.id} record={record} onRemove={() => void said(takeAway(record))} />
              ))}
            </ul>
          </>
        ) : null}
        {shown === "wearers" ? <WearerList wearers={wearers} onNewJob={(wearer) => setMaking({ wearer })} /> : null}
        {shown === "styles" ? (
          <OwnStyleList
            styles={room?.styles ?? []}
            onNewJob={(own) => setMaking({ own })}
            onRemove={(own) => void said(dropStyle(own))}
          />
        ) : null}
        {shown === "examples" ? (
          <ExampleList onCopy={(job) => void keep({ ...job, name: phrase`${job.name}, my copy` })} />
        ) : null}
        {room ? <UnreadableList unreadable={room.unreadable} /> : null}
        {room ? (
          <BinList
            bin={room.bin}
            onPutBack={(b) => void said(restore(b))}
            onEmpty={() => void said(emptyBin(room.bin))}
          />
        ) : null}
        <p style={{ marginTop: 40, fontSize: 13 }}>
          <Link href="/notices" style={{ color: "var(--quiet)" }}>
            Licences of the fonts and packages in Eland
          </Link>
        </p>
      </main>
      {files.arriving ? (
        <ArrivingDialog
          arriving={files.arriving}
          onKeep={(choose) => files.arriving && void files.keep(files.arriving, choose)}
          onLeave={files.leave}
        />
      ) : null}
      {making ? (
        <NewJobDialog
          cards={wearers.map((w) => w.card)}
          start={making}
          onClose={() => setMaking(null)}
          onMake={(job) => void keep(job)}
        />
      ) : null}
    </div>
  );
}
