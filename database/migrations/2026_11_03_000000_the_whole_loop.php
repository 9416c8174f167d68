<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a real installation has besides: vessels at different levels, overflows and float valves, stages
 * and pumps that stand inside a vessel, airlifts, intakes that share a three-way valve, bypasses, bays
 * that are shut off for a time, and parts that are retired.
 *
 * Protects: a part that the book still speaks of is retired and never deleted; a bay is shut off once
 * at a time, and what its valves stood at is kept until it is opened again; the two lines of a
 * three-way valve belong to one system.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE vessels
                ADD COLUMN level_mm    double precision NOT NULL DEFAULT 0 CHECK (level_mm BETWEEN -10000 AND 10000),
                ADD COLUMN may_fall_mm double precision CHECK (may_fall_mm BETWEEN 0 AND 5000),
                ADD COLUMN overflow    boolean NOT NULL DEFAULT false,
                ADD COLUMN float_valve boolean NOT NULL DEFAULT false,
                ADD COLUMN shade       varchar(8) NOT NULL DEFAULT 'none' CHECK (shade IN ('none', 'part', 'full')),
                ADD COLUMN retired_at  timestamptz;
            ALTER TABLE stages
                ADD COLUMN vessel_id   char(26),
                ADD COLUMN fed         varchar(8) CHECK (fed IN ('gravity', 'pumped', 'air')),
                ADD COLUMN since       date,
                ADD COLUMN bypassable  boolean NOT NULL DEFAULT false,
                ADD COLUMN bypassed    boolean NOT NULL DEFAULT false,
                ADD COLUMN water_l     double precision CHECK (water_l BETWEEN 0.1 AND 1000000),
                ADD COLUMN plan_m2     double precision CHECK (plan_m2 BETWEEN 0.001 AND 10000),
                ADD COLUMN retired_at  timestamptz,
                ADD FOREIGN KEY (system_id, vessel_id) REFERENCES vessels (system_id, id),
                ADD CHECK (bypassable OR NOT bypassed);
            ALTER TABLE pumps
                ADD COLUMN vessel_id     char(26),
                ADD COLUMN submergence_m double precision CHECK (submergence_m BETWEEN 0.05 AND 20),
                ADD COLUMN lift_m        double precision CHECK (lift_m BETWEEN 0 AND 5),
                ADD COLUMN riser_mm      double precision CHECK (riser_mm BETWEEN 8 AND 300),
                ADD COLUMN retired_at    timestamptz,
                ADD FOREIGN KEY (system_id, vessel_id) REFERENCES vessels (system_id, id),
                DROP CONSTRAINT pumps_kind_check,
                ADD CONSTRAINT pumps_kind_check CHECK (kind IN ('water', 'circulator', 'air', 'airlift')),
                DROP CONSTRAINT pumps_check2,
                ADD CONSTRAINT pumps_air_check CHECK ((kind IN ('air', 'airlift')) = (air_l_min IS NOT NULL)),
                ADD CONSTRAINT pumps_airlift_check CHECK (num_nonnulls(submergence_m, lift_m, riser_mm) = CASE
                    WHEN kind = 'airlift' THEN 3 ELSE 0 END);
            ALTER TABLE lines
                ADD UNIQUE (system_id, id),
                ADD COLUMN intake       varchar(16) CHECK (intake IN ('bottom_drain', 'skimmer', 'high_sponge',
                    'floor_pump', 'wall', 'overflow')),
                ADD COLUMN within_reach boolean NOT NULL DEFAULT true,
                ADD COLUMN spot         varchar(8) CHECK (spot IN ('one_end', 'middle', 'far_end')),
                ADD COLUMN aim          varchar(8) CHECK (aim IN ('along', 'across')),
                ADD COLUMN leads_to     varchar(12) CHECK (leads_to IN ('sewer', 'soakaway', 'garden', 'tank')),
                ADD COLUMN three_way_id char(26),
                ADD FOREIGN KEY (system_id, three_way_id) REFERENCES lines (system_id, id)
                    ON DELETE SET NULL (three_way_id),
                ADD CHECK (three_way_id IS NULL OR valve_open_pct IS NOT NULL),
                ADD CHECK (intake IS NULL OR from_vessel_id IS NOT NULL),
                ADD CHECK (leads_to IS NULL OR num_nonnulls(to_vessel_id, to_stage_id, to_pump_id) = 0);
            DROP INDEX vessels_name;
            CREATE UNIQUE INDEX vessels_name ON vessels (system_id, lower(name)) WHERE retired_at IS NULL;

            CREATE TABLE shut_offs (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                vessel_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                openings   jsonb NOT NULL,
                shut_at    timestamptz NOT NULL,
                opened_at  timestamptz CHECK (opened_at >= shut_at),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (system_id, vessel_id) REFERENCES vessels (system_id, id)
            );
            CREATE UNIQUE INDEX shut_offs_open ON shut_offs (vessel_id) WHERE opened_at IS NULL;

            ALTER TABLE visits ADD COLUMN vessel_id char(26), ADD FOREIGN KEY (system_id, vessel_id)
                REFERENCES vessels (system_id, id);
            ALTER TABLE fish_groups ADD COLUMN vessel_id char(26), ADD FOREIGN KEY (system_id, vessel_id)
                REFERENCES vessels (system_id, id);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE shut_offs;
            ALTER TABLE fish_groups DROP COLUMN vessel_id;
            ALTER TABLE visits DROP COLUMN vessel_id;
            ALTER TABLE lines DROP COLUMN intake, DROP COLUMN within_reach, DROP COLUMN spot, DROP COLUMN aim,
                DROP COLUMN leads_to, DROP COLUMN three_way_id;
            DELETE FROM pumps WHERE kind = 'airlift';
            ALTER TABLE pumps DROP CONSTRAINT pumps_airlift_check, DROP CONSTRAINT pumps_air_check,
                DROP COLUMN vessel_id, DROP COLUMN submergence_m, DROP COLUMN lift_m, DROP COLUMN riser_mm,
                    DROP COLUMN retired_at;
            ALTER TABLE stages DROP COLUMN vessel_id, DROP COLUMN fed, DROP COLUMN since, DROP COLUMN bypassable,
                DROP COLUMN bypassed, DROP COLUMN water_l, DROP COLUMN plan_m2, DROP COLUMN retired_at;
            DROP INDEX vessels_name;
            ALTER TABLE vessels DROP COLUMN level_mm, DROP COLUMN may_fall_mm, DROP COLUMN overflow,
                DROP COLUMN float_valve, DROP COLUMN shade, DROP COLUMN retired_at;
            CREATE UNIQUE INDEX vessels_name ON vessels (system_id, lower(name));
            SQL
            ,
        );
    }
};
