import { exportAccount } from "@/server/account-archive";
import { requireAccount, route } from "@/server/route";

export const GET = route(async () => {
  const account = await requireAccount();
  return new Response(JSON.stringify(await exportAccount(account), null, 1), {
    headers: {
      "content-type": "application/json",
      "content-disposition": 'attachment; filename="utrimax-account.json"',
    },
  });
});
