"use client";
import dynamic from "next/dynamic";

/** Stage 7, which arrives with the engine it needs while the job is read from the store. */
export default dynamic(() => import("./DiaryStage").then((m) => m.DiaryStage), { ssr: false });
