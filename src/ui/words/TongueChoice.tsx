"use client";
import { tongueTag } from "@/core/words";
import { HeaderToggle } from "../HeaderToggle";
import { chooseTongue, TONGUES, type TongueTag } from "./tongues";

const OPTIONS = Object.entries(TONGUES).map(([tag, { name }]) => ({ value: tag as TongueTag, word: name, lang: tag }));

/** The tongue the program speaks. */
export function TongueChoice() {
  return <HeaderToggle label="Language" value={tongueTag() as TongueTag} options={OPTIONS} onChoose={chooseTongue} />;
}
