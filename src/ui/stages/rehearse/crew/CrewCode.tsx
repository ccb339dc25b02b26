"use client";
import { toString as qrSvg } from "qrcode";
import { useEffect, useState } from "react";

/** The code of a crew, to be read aloud or photographed. */
export function CrewCode({ code }: { code: string }) {
  const [image, setImage] = useState<string | null>(null);
  useEffect(() => {
    const link = `${location.origin}/crew?code=${encodeURIComponent(code)}`;
    void qrSvg(link, { type: "svg", margin: 1 }).then((svg) =>
      setImage(`data:image/svg+xml,${encodeURIComponent(svg)}`),
    );
  }, [code]);
  return (
    <section className="border-t border-rule px-4 py-3" aria-label="Code">
      <p className="text-ink2">
        The others go to <span className="num">/crew</span> with
      </p>
      <p className="num text-[24px] font-bold">{code.toUpperCase()}</p>
      {/* A picture made here, with nothing to load. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      {image && <img src={image} alt="The link to this crew as a picture for a camera" className="mt-1 size-36" />}
    </section>
  );
}
