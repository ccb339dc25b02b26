"use client";
import { ErrorNotice } from "@/ui/shell/ErrorNotice";

export default ErrorNotice;
