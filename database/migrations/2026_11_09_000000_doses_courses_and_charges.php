<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What was dosed, the courses doses belong to, and charges of zeolite, resin or carbon in the loop.
 *
 * Protects: a dose keeps the volume it was worked out on and the calculation behind it; one course of a thing
 * runs in a body of water at a time; a bath has an end in minutes.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE vessels ADD CONSTRAINT vessels_site_id_id_key UNIQUE (site_id, id);

            CREATE TABLE courses (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                vessel_id    char(26) REFERENCES vessels (id),
                thing        varchar(40) NOT NULL,
                way          varchar(12) NOT NULL CHECK (way IN ('prolonged', 'bath')),
                dose_mg_l    double precision NOT NULL CHECK (dose_mg_l > 0),
                strength_pct double precision CHECK (strength_pct > 0 AND strength_pct <= 100),
                repeats      integer NOT NULL CHECK (repeats BETWEEN 1 AND 30),
                started_at   timestamptz NOT NULL,
                ended_at     timestamptz CHECK (ended_at >= started_at),
                end_reason   varchar(200),
                returned     jsonb NOT NULL DEFAULT '[]',
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK ((ended_at IS NULL) = (end_reason IS NULL))
            );
            CREATE UNIQUE INDEX courses_running ON courses (system_id, coalesce(vessel_id, ''), thing)
                WHERE ended_at IS NULL;

            CREATE TABLE doses (
                id              char(26) PRIMARY KEY,
                site_id         char(26) NOT NULL,
                system_id       char(26) NOT NULL,
                user_id         char(26) REFERENCES users (id),
                vessel_id       char(26) REFERENCES vessels (id),
                course_id       char(26) REFERENCES courses (id),
                thing           varchar(40) NOT NULL,
                name            varchar(80) NOT NULL,
                way             varchar(12) NOT NULL CHECK (way IN ('prolonged', 'bath', 'dip')),
                amount          double precision NOT NULL CHECK (amount >= 0),
                unit            varchar(8) NOT NULL CHECK (unit IN ('g', 'mL')),
                mg_l            double precision CHECK (mg_l >= 0),
                volume_l        double precision NOT NULL CHECK (volume_l > 0),
                calc            varchar(40) NOT NULL,
                input           jsonb NOT NULL,
                conditions      jsonb NOT NULL DEFAULT '[]',
                override_reason varchar(200),
                given_at        timestamptz NOT NULL,
                minutes         double precision CHECK (minutes > 0),
                ended_at        timestamptz,
                ended_by        char(26) REFERENCES users (id),
                withdrawn_at    timestamptz,
                created_at      timestamptz NOT NULL DEFAULT now(),
                updated_at      timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK ((ended_at IS NULL) = (ended_by IS NULL)),
                CHECK (way = 'prolonged' OR minutes IS NOT NULL)
            );
            CREATE INDEX doses_system ON doses (system_id, given_at DESC) WHERE withdrawn_at IS NULL;
            CREATE INDEX doses_running ON doses (site_id) WHERE minutes IS NOT NULL AND ended_at IS NULL
                AND withdrawn_at IS NULL;

            CREATE TABLE charges (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                kind         varchar(10) NOT NULL CHECK (kind IN ('zeolite', 'resin', 'carbon', 'mixed')),
                mass_g       double precision NOT NULL CHECK (mass_g > 0),
                capacity_mg_n_per_g double precision CHECK (capacity_mg_n_per_g > 0),
                cycles       integer NOT NULL DEFAULT 0 CHECK (cycles >= 0),
                put_in_at    timestamptz NOT NULL,
                taken_out_at timestamptz CHECK (taken_out_at >= put_in_at),
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX charges_in ON charges (system_id) WHERE taken_out_at IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'DROP TABLE charges, doses, courses; ALTER TABLE vessels DROP CONSTRAINT vessels_site_id_id_key;',
        );
    }
};
