import { toast } from "sonner";
import { create } from "zustand";
import type { SentReview } from "@/server/sent-review";
import { send } from "@/ui/kit/request";
import { keptQueue } from "@/ui/kit/kept-queue";

const queue = keptQueue<SentReview>("reviews", "/api/reviews", (reviews) => ({ reviews }), 100);

interface ReviewsState {
  /** Null until they have come. */
  readonly reviews: readonly SentReview[] | null;
  /** Fetches them once. */
  load(): Promise<void>;
  add(review: SentReview): void;
}

let loading = false;

/** Answers to the cards of recall: those of the server and those that still wait for it. */
export const useReviews = create<ReviewsState>()((set, get) => ({
  reviews: null,
  load: async () => {
    if (loading || get().reviews) return;
    loading = true;
    const answer = await send<{ reviews: SentReview[] }>("GET", "/api/reviews");
    loading = false;
    const waiting = queue.waiting();
    const stored = answer.ok ? answer.value.reviews : [];
    const known = new Set(stored.map(({ id }) => id));
    set({ reviews: [...stored, ...waiting.filter(({ id }) => !known.has(id))] });
    if (waiting.length > 0) void queue.flush();
  },
  add: (review) => {
    set(({ reviews }) => ({ reviews: [review, ...(reviews ?? [])] }));
    void queue.put(review).then((fault) => fault !== null && toast(fault));
  },
}));
