"use client";
import dynamic from "next/dynamic";

/** Stage 6, which arrives with the engine it needs while the job is read from the store. */
export default dynamic(() => import("./MakeStage").then((m) => m.MakeStage), { ssr: false });
