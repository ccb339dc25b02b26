import type { Metadata } from "next";
import { StageOf } from "@/ui/shell/StageOf";

interface Props {
  params: Promise<{ stage: string }>;
}

/** A stage's address is its name. */
export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const name = (await params).stage.replaceAll("-", " ");
  return { title: name.charAt(0).toUpperCase() + name.slice(1) };
}

export default async function StagePage({ params }: Props) {
  return <StageOf slug={(await params).stage} />;
}
