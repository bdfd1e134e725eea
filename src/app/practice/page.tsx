import { Suspense } from "react";
import { Practice } from "@/ui/practice/Practice";

export default function PracticePage() {
  return (
    <Suspense>
      <Practice />
    </Suspense>
  );
}
