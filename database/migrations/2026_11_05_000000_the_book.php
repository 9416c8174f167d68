<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The book in its full form: more to read, words beside numbers, corrections that keep the original,
 * kits with their steps, limits of one's own, and the waters that systems are filled from.
 *
 * Protects: a visit is corrected by one other, which is there when it is gone from sight; a kit has
 * rising steps by the form that writes it, and one kit of a parameter is the usual one; an own limit
 * has its reason; a test of a source water has a side.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE readings
                DROP CONSTRAINT readings_parameter_check,
                ADD CONSTRAINT readings_parameter_check CHECK (parameter IN
                    ('tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'do_mg_l', 'alkalinity_mg_l',
                     'hardness_mg_l', 'salinity_g_l', 'chlorine_mg_l', 'redox_mv', 'clarity_cm', 'silt_cm')),
                DROP CONSTRAINT readings_check3,
                ADD CONSTRAINT readings_range CHECK (parameter IN ('ph', 'temp_c', 'redox_mv') OR value BETWEEN 0
                    AND 1000);
            -- The latest of a parameter is one step into this index, ties and all.
            DROP INDEX readings_latest;
            CREATE INDEX readings_latest ON readings (system_id, parameter, taken_at DESC, id DESC);
            ALTER TABLE visits
                ADD COLUMN corrects_id char(26) UNIQUE REFERENCES visits (id);

            CREATE TABLE probe_readings (
                system_id char(26) NOT NULL REFERENCES systems (id),
                parameter varchar(20) NOT NULL CHECK (parameter IN ('ph', 'temp_c', 'do_mg_l', 'redox_mv',
                    'salinity_g_l')),
                taken_at  timestamptz NOT NULL,
                value     real NOT NULL,
                PRIMARY KEY (system_id, parameter, taken_at)
            );
            -- What a score shows of them: sums by hour and by day, kept as they come in, so that a year costs what
            -- it shows.
            CREATE TABLE probe_sums (
                system_id char(26) NOT NULL REFERENCES systems (id),
                parameter varchar(20) NOT NULL,
                width     varchar(4) NOT NULL CHECK (width IN ('hour', 'day')),
                begins_at timestamptz NOT NULL,
                n         integer NOT NULL,
                total     double precision NOT NULL,
                low       real NOT NULL,
                high      real NOT NULL,
                PRIMARY KEY (system_id, parameter, width, begins_at)
            );

            CREATE TABLE notes (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                taken_at     timestamptz NOT NULL,
                words        varchar(1000) NOT NULL,
                seen         jsonb NOT NULL DEFAULT '[]',
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (btrim(words) <> '' OR jsonb_array_length(seen) > 0)
            );
            CREATE INDEX notes_system ON notes (system_id, taken_at DESC) WHERE withdrawn_at IS NULL;

            CREATE TABLE photos (
                id         char(26) PRIMARY KEY REFERENCES notes (id) ON DELETE CASCADE,
                site_id    char(26) NOT NULL REFERENCES sites (id),
                type       varchar(20) NOT NULL CHECK (type IN ('image/jpeg', 'image/png', 'image/webp')),
                picture    text NOT NULL,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now()
            );

            CREATE TABLE kits (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL REFERENCES sites (id),
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind       varchar(12) NOT NULL CHECK (kind IN ('drops', 'strip', 'photometer', 'probe')),
                parameter  varchar(20) NOT NULL,
                unit       varchar(20),
                steps      jsonb NOT NULL DEFAULT '[]',
                resolution double precision CHECK (resolution > 0),
                expires_on date,
                tests_left integer CHECK (tests_left >= 0),
                in_use     boolean NOT NULL DEFAULT true,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now()
            );
            CREATE UNIQUE INDEX kits_used ON kits (site_id, parameter) WHERE in_use;

            CREATE TABLE own_limits (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                parameter  varchar(20) NOT NULL,
                below      jsonb,
                above      jsonb,
                reason     varchar(200) NOT NULL CHECK (btrim(reason) <> ''),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (system_id, parameter),
                CHECK (num_nonnulls(below, above) >= 1)
            );

            CREATE TABLE test_plans (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                parameter  varchar(20) NOT NULL,
                every_h    double precision CHECK (every_h BETWEEN 1 AND 8784),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (system_id, parameter)
            );

            CREATE TABLE waters (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL REFERENCES sites (id),
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind       varchar(8) NOT NULL CHECK (kind IN ('tap', 'well', 'rain', 'ro', 'blend')),
                unit_name  varchar(60),
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (site_id, id)
            );
            CREATE UNIQUE INDEX waters_name ON waters (site_id, lower(name));
            CREATE TABLE water_tests (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                water_id   char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                side       varchar(8) NOT NULL CHECK (side IN ('raw', 'treated')),
                tested_on  date NOT NULL,
                readings   jsonb NOT NULL,
                chloramine boolean NOT NULL DEFAULT false,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, water_id) REFERENCES waters (site_id, id) ON DELETE CASCADE
            );
            CREATE INDEX water_tests_water ON water_tests (water_id, tested_on DESC);
            ALTER TABLE systems ADD COLUMN water_id char(26) REFERENCES waters (id) ON DELETE SET NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE systems DROP COLUMN water_id;
            DROP TABLE probe_sums, probe_readings;
            DROP TABLE water_tests, waters, test_plans, own_limits, kits, photos, notes;
            DROP INDEX readings_latest;
            CREATE INDEX readings_latest ON readings (system_id, parameter, taken_at DESC);
            DELETE FROM readings WHERE parameter IN ('hardness_mg_l', 'salinity_g_l', 'chlorine_mg_l', 'redox_mv',
                'clarity_cm', 'silt_cm');
            ALTER TABLE visits DROP COLUMN corrects_id;
            ALTER TABLE readings DROP CONSTRAINT readings_range, DROP CONSTRAINT readings_parameter_check,
                ADD CONSTRAINT readings_parameter_check CHECK (parameter IN ('tan_mg_l', 'no2_n_mg_l',
                    'no3_n_mg_l', 'ph', 'temp_c', 'do_mg_l', 'alkalinity_mg_l')),
                ADD CONSTRAINT readings_check3 CHECK (parameter IN ('ph', 'temp_c') OR value BETWEEN 0 AND 1000);
            SQL
            ,
        );
    }
};
