import { NoticeText } from "@/ui/kit/page/Notice";

export default function NotFound() {
  return (
    <section className="flex flex-col gap-4 p-8">
      <NoticeText title="There is no page here.">
        <p>The stages are listed on the left. The address may have been typed wrongly.</p>
      </NoticeText>
    </section>
  );
}
