"use client";
import { FollowBar } from "@/ui/situation/follow/FollowBar";
import { useFollowCall } from "./useFollowCall";

/** What is followed, with its calls. */
export function Followed() {
  return <FollowBar {...useFollowCall()} />;
}
