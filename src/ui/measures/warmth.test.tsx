import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { WarmthStepper } from "./WarmthStepper";

const told = jest.fn();
const Kept = ({ units, from }: { readonly units: "metric" | "us"; readonly from: number }) => {
  const [celsius, setCelsius] = useState(from);
  return (
    <WarmthStepper
      label="The place is"
      units={units}
      celsius={celsius}
      onChange={(next) => {
        told(next);
        setCelsius(next);
      }}
    />
  );
};
beforeEach(() => told.mockClear());

describe("how warm a place is", () => {
  it("is stepped by half a degree in Celsius", () => {
    render(<Kept units="metric" from={22} />);
    fireEvent.click(screen.getByRole("button", { name: "The place is up" }));
    expect(told).toHaveBeenLastCalledWith(22.5);
    expect(screen.getByLabelText("The place is (°C)")).toHaveValue("22.5");
  });
  it("is shown in whole steps of Fahrenheit, and kept in Celsius", () => {
    render(<Kept units="us" from={20} />);
    expect(screen.getByLabelText("The place is (°F)")).toHaveValue("68");
    fireEvent.click(screen.getByRole("button", { name: "The place is up" }));
    expect(screen.getByLabelText("The place is (°F)")).toHaveValue("69");
    expect(told.mock.calls[0][0]).toBeCloseTo(20.556, 3);
  });
  it("ends at frost and at what no drum is kept at", () => {
    render(<Kept units="us" from={0} />);
    fireEvent.click(screen.getByRole("button", { name: "The place is down" }));
    expect(told.mock.calls[0][0]).toBeCloseTo(0, 6);
    fireEvent.change(screen.getByLabelText("The place is (°F)"), { target: { value: "" } });
    expect(told).toHaveBeenLastCalledWith(NaN);
  });
});
