"use client";
import { ErrorNotice } from "@/ui/kit/page/ErrorNotice";

export default ErrorNotice;
