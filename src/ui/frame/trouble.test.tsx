import { render, screen } from "@testing-library/react";
import { Away } from "./Away";
import { Broken } from "./Broken";

describe("when a page can't be shown", () => {
  it("tells a database that is away from a page that went wrong", () => {
    const { unmount } = render(<Away />);
    expect(screen.getByText(/The database does not answer/)).toBeVisible();
    unmount();
    render(<Broken number={null} />);
    expect(screen.queryByText(/database/)).toBeNull();
    expect(screen.getByRole("heading", { name: "This page has an error" })).toBeVisible();
  });
  it("says that nothing is lost, where to go, and the number to ask by where there is one", () => {
    const { unmount } = render(<Broken number={null} />);
    expect(screen.getByText(/Nothing saved is lost/)).toBeVisible();
    expect(screen.getByRole("button", { name: "Try again" })).toBeVisible();
    expect(screen.getByRole("link", { name: "To the yard" })).toHaveAttribute("href", "/");
    expect(screen.queryByText(/under the number/)).toBeNull();
    unmount();
    render(<Broken number="2871346" />);
    expect(screen.getByText("2871346")).toBeVisible();
    expect(screen.getByText(/The error number is below/)).toBeVisible();
  });
});
