import { Component, type ReactNode } from "react";
import { useLocation } from "react-router";

import { PageFailed } from "./PageFailed";

interface CatchProps {
  /** Where the reader is: another place is tried anew. */
  place: string;
  children: ReactNode;
}

/** React hands errors of what is drawn to a class alone. */
class Catch extends Component<CatchProps, { failedAt: string | null }> {
  override state = { failedAt: null };

  static getDerivedStateFromError() {
    return { failedAt: "" };
  }

  override componentDidCatch() {
    this.setState({ failedAt: this.props.place });
  }

  override componentDidUpdate() {
    const { failedAt } = this.state as { failedAt: string | null };
    if (failedAt && failedAt !== this.props.place) this.setState({ failedAt: null });
  }

  override render() {
    return this.state.failedAt === null ? this.props.children : <PageFailed />;
  }
}

/** A page that cannot be fetched or drawn says so in its place; going elsewhere tries that page. */
export function Boundary({ children }: { children: ReactNode }) {
  return <Catch place={useLocation().key}>{children}</Catch>;
}
