import { useCallback, useEffect, useState } from "react";
import type { Body } from "@/core/body";
import { keepCards, listCards, removeCard, type StoredCard } from "./database";

/** The kept cards of this browser and what can be done with them; null until they are read. */
export function useCards() {
  const [cards, setCards] = useState<readonly StoredCard[] | null>(null);
  const [blocked, setBlocked] = useState(false);
  const reload = useCallback(async () => {
    try {
      setCards((await listCards()).records);
      setBlocked(false);
    } catch {
      setBlocked(true);
    }
  }, []);
  useEffect(() => {
    let wanted = true;
    listCards().then(
      (list) => wanted && setCards(list.records),
      () => wanted && setBlocked(true),
    );
    return () => {
      wanted = false;
    };
  }, []);
  const keep = useCallback(
    async (kept: readonly Body[]) => {
      await keepCards(kept);
      await reload();
    },
    [reload],
  );
  const remove = useCallback(
    async (id: string) => {
      await removeCard(id);
      await reload();
    },
    [reload],
  );
  return { cards, blocked, keep, remove };
}

/** The cards of one wearer, oldest first. */
export function cardsOf(cards: readonly StoredCard[], wearer: string): readonly StoredCard[] {
  const name = wearer.trim().toLowerCase();
  return name === "" ? [] : cards.filter((c) => c.card.name.trim().toLowerCase() === name);
}
