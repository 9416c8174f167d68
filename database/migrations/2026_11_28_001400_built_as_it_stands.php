<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A build as it stands: layers in one chamber, vessels under pressure, outlets of air, what parts cost, a build planned
 * beside the one that stands, and what was changed last, so that it can be taken back.
 *
 * Protects: a layer lies in a chamber of its own system and has no water, rim or vessel of its own; an outlet of air
 * leads to one place; nothing runs twice in a plan that is not built.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE stages
                ADD COLUMN chamber_id     char(26),
                ADD COLUMN under_pressure boolean NOT NULL DEFAULT false,
                ADD COLUMN may_press_m    double precision CHECK (may_press_m > 0 AND may_press_m <= 100),
                ADD COLUMN cost           double precision CHECK (cost BETWEEN 0 AND 1e7),
                ADD CONSTRAINT stages_chamber FOREIGN KEY (system_id, chamber_id) REFERENCES stages (system_id, id),
                ADD CONSTRAINT stages_layer CHECK (chamber_id IS NULL OR
                    (chamber_id <> id AND vessel_id IS NULL AND water_l IS NULL AND rim_mm IS NULL
                        AND NOT bypassable AND NOT under_pressure)),
                ADD CONSTRAINT stages_pressed CHECK (under_pressure OR may_press_m IS NULL);
            ALTER TABLE vessels ADD COLUMN cost double precision CHECK (cost BETWEEN 0 AND 1e7);
            ALTER TABLE pumps ADD COLUMN cost double precision CHECK (cost BETWEEN 0 AND 1e7);
            ALTER TABLE lines ADD COLUMN cost double precision CHECK (cost BETWEEN 0 AND 1e7);
            ALTER TABLE systems ADD COLUMN variant_of_id char(26) REFERENCES systems (id)
                CHECK (variant_of_id <> id);
            CREATE INDEX systems_variants ON systems (variant_of_id) WHERE variant_of_id IS NOT NULL;

            CREATE TABLE air_outlets (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                pump_id    char(26) NOT NULL,
                vessel_id  char(26),
                stage_id   char(26),
                share      double precision NOT NULL DEFAULT 1 CHECK (share > 0 AND share <= 100),
                open       boolean NOT NULL DEFAULT true,
                valve      boolean NOT NULL DEFAULT true,
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (system_id, pump_id) REFERENCES pumps (system_id, id),
                FOREIGN KEY (system_id, vessel_id) REFERENCES vessels (system_id, id),
                FOREIGN KEY (system_id, stage_id) REFERENCES stages (system_id, id),
                CHECK (num_nonnulls(vessel_id, stage_id) = 1),
                CHECK (open OR valve)
            );
            CREATE INDEX air_outlets_system ON air_outlets (system_id, position);
            ALTER TABLE switchings DROP CONSTRAINT switchings_thing_check;
            ALTER TABLE switchings
                ADD CONSTRAINT switchings_thing_check CHECK (thing IN ('pump', 'lamp', 'valve', 'outlet'));

            CREATE TABLE build_changes (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                says       varchar(200) NOT NULL,
                parts      jsonb NOT NULL,
                undone_at  timestamptz,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX build_changes_system ON build_changes (system_id, id DESC) WHERE undone_at IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE build_changes;
            DELETE FROM switchings WHERE thing = 'outlet';
            ALTER TABLE switchings DROP CONSTRAINT switchings_thing_check;
            ALTER TABLE switchings ADD CONSTRAINT switchings_thing_check CHECK (thing IN ('pump', 'lamp', 'valve'));
            DROP TABLE air_outlets;
            ALTER TABLE systems DROP COLUMN variant_of_id;
            ALTER TABLE lines DROP COLUMN cost;
            ALTER TABLE pumps DROP COLUMN cost;
            ALTER TABLE vessels DROP COLUMN cost;
            ALTER TABLE stages
                DROP CONSTRAINT stages_layer,
                DROP CONSTRAINT stages_pressed,
                DROP CONSTRAINT stages_chamber,
                DROP COLUMN chamber_id,
                DROP COLUMN under_pressure,
                DROP COLUMN may_press_m,
                DROP COLUMN cost;
            SQL
            ,
        );
    }
};
