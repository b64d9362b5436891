import "server-only";
import type { Role } from "@/core/people/roles";
import { insert, select, type Queryable, type SqlValue } from "../db";

export interface Farm {
  readonly name: string;
  readonly timeZone: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly units: "metric" | "us";
  readonly currency: string;
  readonly labourMinorPerH: number;
  readonly powerMinorPerKWh: number;
  readonly climateMeanC: number;
  readonly climateSwingC: number;
}

export interface Actor {
  readonly id: number;
  readonly name: string;
  readonly role: Role;
}

interface FarmRow {
  name: string;
  time_zone: string;
  latitude_deg: string;
  longitude_deg: string;
  units: "metric" | "us";
  currency: string;
  labour_minor_per_h: string;
  power_minor_per_kwh: string;
  climate_mean_c: string;
  climate_swing_c: string;
}

const SELECT_FARM = `
  select name, time_zone, latitude_deg, longitude_deg, units, currency, labour_minor_per_h, power_minor_per_kwh, climate_mean_c, climate_swing_c
  from farm where id = 1`;
const INSERT_FARM = `
  insert into farm (id, name, time_zone, latitude_deg, longitude_deg, units, currency, labour_minor_per_h, power_minor_per_kwh, climate_mean_c, climate_swing_c)
  values (1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

const UPDATE_FARM = `
  update farm set name = ?, time_zone = ?, latitude_deg = ?, longitude_deg = ?, units = ?, currency = ?, labour_minor_per_h = ?, power_minor_per_kwh = ?,
         climate_mean_c = ?, climate_swing_c = ? where id = 1`;

export async function findFarm(db: Queryable): Promise<Farm | null> {
  const [row] = await select<FarmRow>(db, SELECT_FARM);
  if (!row) return null;
  return {
    name: row.name,
    timeZone: row.time_zone,
    latitudeDeg: Number(row.latitude_deg),
    longitudeDeg: Number(row.longitude_deg),
    units: row.units,
    currency: row.currency,
    labourMinorPerH: Number(row.labour_minor_per_h),
    powerMinorPerKWh: Number(row.power_minor_per_kwh),
    climateMeanC: Number(row.climate_mean_c),
    climateSwingC: Number(row.climate_swing_c),
  };
}

/** In the order in which both statements name the columns. */
const valuesOf = (farm: Farm): SqlValue[] => [
  farm.name,
  farm.timeZone,
  farm.latitudeDeg,
  farm.longitudeDeg,
  farm.units,
  farm.currency,
  farm.labourMinorPerH,
  farm.powerMinorPerKWh,
  farm.climateMeanC,
  farm.climateSwingC,
];

export const insertFarm = (db: Queryable, farm: Farm): Promise<number> => insert(db, INSERT_FARM, valuesOf(farm));

/** The farm as it is from now on. */
export const updateFarm = (db: Queryable, farm: Farm): Promise<unknown> => db.execute(UPDATE_FARM, valuesOf(farm));

/** Who works here now. */
export const listActors = (db: Queryable): Promise<Actor[]> =>
  select<Actor>(db, "select id, name, role from actor where state = 'in-use' order by id");
/** Whether there is, or was, such a person here. */
export const isActor = async (db: Queryable, id: number): Promise<boolean> =>
  (await select(db, "select id from actor where id = ?", [id])).length > 0;
export const insertActor = (db: Queryable, name: string, role: Role): Promise<number> =>
  insert(db, "insert into actor (name, role) values (?, ?)", [name, role]);
export const setActorRole = (db: Queryable, id: number, role: Role): Promise<unknown> =>
  db.execute("update actor set role = ? where id = ?", [role, id]);

/** Where the database server keeps its files, as that server's machine names it. */
export const findDataFolder = async (db: Queryable): Promise<string> =>
  (await select<{ folder: string }>(db, "select @@datadir as folder"))[0]!.folder;
