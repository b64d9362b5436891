import { render, screen } from "@testing-library/react";
import { NotUsed } from "./NotUsed";

const fits = { fill: (value: string) => value === "3", day: true };

describe("an address with a slip in it", () => {
  it("is told what of it leads nowhere: a thing that is not there, a word that nobody knows, one said twice", () => {
    render(<NotUsed query={{ fill: "9", day: "2031-03-02", colour: "red", twice: ["a", "b"] }} fits={fits} />);
    expect(screen.getByRole("alert")).toHaveTextContent("Part of this address leads nowhere");
    for (const said of ["“fill=9”", "“colour=red”", "“twice=a,b”"])
      expect(screen.getByText(new RegExp(said))).toBeVisible();
    expect(screen.queryByText(/day=/)).toBeNull();
  });
  it("says nothing where all of it is known", () => {
    const { container } = render(<NotUsed query={{ fill: "3", day: undefined }} fits={fits} />);
    expect(container).toBeEmptyDOMElement();
  });
});
