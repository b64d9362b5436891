/** What a file of the farm is called, as every disk takes it. @example fileName("North field", "land.geojson"); // "north-field-land.geojson" */
export const fileName = (farmName: string, ending: string): string =>
  `${farmName.toLowerCase().replace(/[^a-z0-9]+/g, "-")}-${ending}`;
