import { NextResponse, type NextRequest } from "next/server";
import { contentPolicy, isOwnHost } from "./policy";

/** Every page gets its policy with a nonce of this request, so that no script runs but those it was sent with. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOwnHost(request.headers.get("host")))
    return new NextResponse("Eland is not asked by this name.", { status: 421 });
  const nonce = btoa(crypto.randomUUID());
  const policy = contentPolicy(nonce, process.env.NODE_ENV === "development");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = {
  matcher: ["/((?!api|_next/static|_next/image|favicon.ico|icon.svg|icons|manifest.webmanifest|sw.js).*)"],
};
