<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Pumps, lines, and what a stage and a vessel need for hydraulics.
 *
 * Protects: a line begins and ends at parts of its own system (the pair of system and part is the
 * key), at exactly one each, or outside; a part that lines still lead to cannot be removed from under
 * them; a pump belongs to one loop; an air pump has air and no curve, a water pump the other way round.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE vessels ADD UNIQUE (system_id, id);
            ALTER TABLE stages
                ADD UNIQUE (system_id, id),
                ADD COLUMN loss_mm      double precision NOT NULL DEFAULT 20 CHECK (loss_mm BETWEEN 0 AND 20000),
                ADD COLUMN rim_mm       double precision CHECK (rim_mm BETWEEN -500 AND 5000),
                ADD COLUMN may_drop_mm  double precision CHECK (may_drop_mm BETWEEN 0 AND 5000);

            CREATE TABLE pumps (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind       varchar(12) NOT NULL CHECK (kind IN ('water', 'circulator', 'air')),
                curve      jsonb,
                rated_l_h  double precision CHECK (rated_l_h BETWEEN 0 AND 10000000),
                air_l_min  double precision CHECK (air_l_min BETWEEN 0 AND 100000),
                power_w    double precision NOT NULL CHECK (power_w BETWEEN 0 AND 1000000),
                circuit    varchar(40),
                running    boolean NOT NULL DEFAULT true,
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (system_id, id),
                CHECK ((kind = 'water') = (curve IS NOT NULL)),
                CHECK ((kind = 'circulator') = (rated_l_h IS NOT NULL)),
                CHECK ((kind = 'air') = (air_l_min IS NOT NULL))
            );

            CREATE TABLE lines (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL,
                system_id      char(26) NOT NULL,
                name           varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                from_vessel_id char(26),
                from_stage_id  char(26),
                from_pump_id   char(26),
                to_vessel_id   char(26),
                to_stage_id    char(26),
                to_pump_id     char(26),
                bore_mm        double precision NOT NULL CHECK (bore_mm BETWEEN 4 AND 1000),
                length_m       double precision NOT NULL CHECK (length_m BETWEEN 0 AND 1000),
                fittings       jsonb NOT NULL,
                valve_open_pct double precision CHECK (valve_open_pct BETWEEN 0 AND 100),
                check_valve    boolean NOT NULL DEFAULT false,
                ends_above_mm  double precision NOT NULL DEFAULT 0 CHECK (ends_above_mm BETWEEN 0 AND 5000),
                position       integer NOT NULL DEFAULT 0,
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (system_id, from_vessel_id) REFERENCES vessels (system_id, id),
                FOREIGN KEY (system_id, to_vessel_id)   REFERENCES vessels (system_id, id),
                FOREIGN KEY (system_id, from_stage_id)  REFERENCES stages (system_id, id),
                FOREIGN KEY (system_id, to_stage_id)    REFERENCES stages (system_id, id),
                FOREIGN KEY (system_id, from_pump_id)   REFERENCES pumps (system_id, id),
                FOREIGN KEY (system_id, to_pump_id)     REFERENCES pumps (system_id, id),
                CHECK (num_nonnulls(from_vessel_id, from_stage_id, from_pump_id) = 1),
                CHECK (num_nonnulls(to_vessel_id, to_stage_id, to_pump_id) <= 1)
            );
            CREATE INDEX pumps_system ON pumps (system_id, position);
            CREATE INDEX lines_system ON lines (system_id, position);

            ALTER TABLE sites ADD COLUMN price_per_kwh double precision CHECK (price_per_kwh BETWEEN 0 AND 100);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE lines, pumps;
            ALTER TABLE sites DROP COLUMN price_per_kwh;
            ALTER TABLE stages DROP COLUMN loss_mm, DROP COLUMN rim_mm, DROP COLUMN may_drop_mm,
                DROP CONSTRAINT stages_system_id_id_key;
            ALTER TABLE vessels DROP CONSTRAINT vessels_system_id_id_key;
            SQL
            ,
        );
    }
};
