<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Shipments with their bags, single fish with their measurements, and fish looked at one by one.
 *
 * Protects: a bag holds fish, and goes into the water once; a single fish is gone once, and on a day; a look is a
 * note of the book with more to it, and goes with it.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE shipments (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                from_whom  varchar(80) NOT NULL CHECK (btrim(from_whom) <> ''),
                packed_at  timestamptz,
                arrived_at timestamptz NOT NULL,
                boxes      integer CHECK (boxes BETWEEN 1 AND 1000),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (packed_at <= arrived_at),
                UNIQUE (site_id, id)
            );
            CREATE INDEX shipments_system ON shipments (system_id, arrived_at DESC);

            CREATE TABLE bags (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL,
                system_id      char(26) NOT NULL,
                shipment_id    char(26) NOT NULL,
                name           varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                count          integer NOT NULL CHECK (count BETWEEN 1 AND 100000),
                length_cm      double precision NOT NULL CHECK (length_cm BETWEEN 0.5 AND 130),
                litres         double precision CHECK (litres BETWEEN 0.5 AND 2000),
                temp_c         double precision CHECK (temp_c BETWEEN 0 AND 40),
                ph             double precision CHECK (ph BETWEEN 5 AND 9.5),
                tan_mg_l       double precision CHECK (tan_mg_l BETWEEN 0 AND 200),
                kh_dkh         double precision CHECK (kh_dkh BETWEEN 0 AND 50),
                salinity_g_l   double precision CHECK (salinity_g_l BETWEEN 0 AND 40),
                no3_n_mg_l     double precision CHECK (no3_n_mg_l BETWEEN 0 AND 250),
                drip_l_min     double precision CHECK (drip_l_min > 0),
                drip_min       double precision CHECK (drip_min >= 0),
                drip_from      timestamptz,
                in_at          timestamptz,
                dead           integer NOT NULL DEFAULT 0 CHECK (dead BETWEEN 0 AND count),
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (site_id, shipment_id) REFERENCES shipments (site_id, id) ON DELETE CASCADE,
                CHECK (dead = 0 OR in_at IS NOT NULL),
                CHECK ((drip_from IS NULL) = (drip_l_min IS NULL))
            );
            CREATE INDEX bags_shipment ON bags (shipment_id);
            CREATE INDEX bags_dripping ON bags (site_id) WHERE drip_from IS NOT NULL AND in_at IS NULL;

            CREATE TABLE single_fish (
                id            char(26) PRIMARY KEY,
                site_id       char(26) NOT NULL,
                system_id     char(26) NOT NULL,
                fish_group_id char(26) REFERENCES fish_groups (id) ON DELETE SET NULL,
                name          varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                variety       varchar(60),
                origin        varchar(80),
                note          varchar(500),
                gone          varchar(5) CHECK (gone IN ('sold', 'given', 'died')),
                gone_on       date,
                gone_why      varchar(200),
                created_at    timestamptz NOT NULL DEFAULT now(),
                updated_at    timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK ((gone IS NULL) = (gone_on IS NULL)),
                UNIQUE (site_id, id)
            );
            CREATE INDEX single_fish_system ON single_fish (system_id);

            CREATE TABLE single_measures (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL,
                single_fish_id char(26) NOT NULL,
                user_id        char(26) REFERENCES users (id),
                measured_on    date NOT NULL,
                length_cm      double precision CHECK (length_cm BETWEEN 0.5 AND 130),
                weight_g       double precision CHECK (weight_g BETWEEN 0.01 AND 100000),
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, single_fish_id) REFERENCES single_fish (site_id, id) ON DELETE CASCADE,
                CHECK (num_nonnulls(length_cm, weight_g) >= 1)
            );
            CREATE INDEX single_measures_fish ON single_measures (single_fish_id, measured_on);

            CREATE TABLE looks (
                id             char(26) PRIMARY KEY REFERENCES notes (id) ON DELETE CASCADE,
                site_id        char(26) NOT NULL,
                system_id      char(26) NOT NULL,
                fish_group_id  char(26) REFERENCES fish_groups (id) ON DELETE SET NULL,
                single_fish_id char(26) REFERENCES single_fish (id) ON DELETE SET NULL,
                signs          jsonb NOT NULL DEFAULT '[]',
                marks          jsonb NOT NULL DEFAULT '[]',
                came_up        varchar(8) CHECK (came_up IN ('yes', 'slowly', 'no')),
                scrape         varchar(4) CHECK (scrape IN ('skin', 'gill', 'fin')),
                scrape_seen    varchar(200),
                length_cm      double precision CHECK (length_cm BETWEEN 0.5 AND 130),
                weight_g       double precision CHECK (weight_g BETWEEN 0.01 AND 100000),
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (scrape_seen IS NULL OR scrape IS NOT NULL)
            );
            CREATE INDEX looks_system ON looks (system_id, id DESC);

            ALTER TABLE quarantines
                ADD COLUMN looks_every_d double precision NOT NULL DEFAULT 3
                    CHECK (looks_every_d BETWEEN 0.5 AND 60),
                ADD COLUMN tests_a_day   double precision NOT NULL DEFAULT 1
                    CHECK (tests_a_day BETWEEN 0 AND 12),
                ADD COLUMN hold_c        double precision CHECK (hold_c BETWEEN 1 AND 35),
                ADD COLUMN c_a_day       double precision NOT NULL DEFAULT 1 CHECK (c_a_day BETWEEN 0.1 AND 5),
                ADD COLUMN air_c         double precision CHECK (air_c BETWEEN -30 AND 45),
                ADD COLUMN treating      varchar(6) NOT NULL DEFAULT 'none'
                    CHECK (treating IN ('none', 'salt', 'flukes')),
                ADD COLUMN own_nets      boolean NOT NULL DEFAULT false,
                ADD COLUMN footbath      boolean NOT NULL DEFAULT false;

            ALTER TABLE fish_events
                ADD COLUMN single_fish_id char(26) REFERENCES single_fish (id) ON DELETE SET NULL,
                ADD COLUMN bag_id         char(26) REFERENCES bags (id) ON DELETE SET NULL;
            CREATE INDEX fish_events_bag ON fish_events (bag_id) WHERE bag_id IS NOT NULL;
            ALTER TABLE fish_groups ADD COLUMN bag_id char(26) REFERENCES bags (id) ON DELETE SET NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE quarantines DROP COLUMN looks_every_d, DROP COLUMN tests_a_day, DROP COLUMN hold_c,
                DROP COLUMN c_a_day, DROP COLUMN air_c, DROP COLUMN treating, DROP COLUMN own_nets,
                DROP COLUMN footbath;
            ALTER TABLE fish_groups DROP COLUMN bag_id;
            ALTER TABLE fish_events DROP COLUMN single_fish_id, DROP COLUMN bag_id;
            DROP TABLE looks, single_measures, single_fish, bags, shipments;
            SQL
            ,
        );
    }
};
