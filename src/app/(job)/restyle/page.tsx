"use client";
import dynamic from "next/dynamic";

/** Stage 3, which arrives with the engine it needs while the job is read from the store. */
export default dynamic(() => import("./RestyleStage").then((m) => m.RestyleStage), { ssr: false });
