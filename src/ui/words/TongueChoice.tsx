"use client";
import { tongueTag } from "@/core/words";
import { HeaderToggle } from "../HeaderToggle";
import { usePhone } from "../usePhone";
import { chooseTongue, TONGUES, type TongueTag } from "./tongues";

/** The tongue the program speaks; on a phone by its short sign. */
export function TongueChoice() {
  const phone = usePhone();
  const options = Object.entries(TONGUES).map(([tag, { name }]) => ({
    value: tag as TongueTag,
    word: phone ? tag.toUpperCase() : name,
    spoken: name,
    lang: tag,
  }));
  return <HeaderToggle label="Language" value={tongueTag() as TongueTag} options={options} onChoose={chooseTongue} />;
}
