"use client";
import { useStoreState } from "@/store/shelf";

/** Said at the top of every page while the browser keeps nothing. */
export function StoreNotice() {
  const notice = useStoreState((s) => s.notice);
  if (!notice) return null;
  return (
    <div role="alert" style={{ padding: "8px 24px", background: "var(--chalk-wash)", color: "var(--chalk-text)" }}>
      {notice}
    </div>
  );
}
