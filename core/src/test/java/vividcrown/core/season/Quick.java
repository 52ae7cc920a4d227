package vividcrown.core.season;
class Quick {
    public static void main(String[] a) {
        for (int[] size : new int[][]{{4,2,60},{15,5,150},{40,12,400},{40,12,400}}) {
            SeasonBrief brief = Seasons.random(size[0], size[1], size[2], 7);
            long t0 = System.nanoTime();
            Supply supply = new Supply(brief);
            var groups = PromiseGroup.of(brief.demands(), brief.today());
            var finder = new RecipeFinder(brief, supply, new RunningShares(brief, groups, supply));
            int n = groups.stream().mapToInt(g -> finder.of(g, RecipeFinder.LATE_BY).size()).sum();
            System.out.printf("%d groups %d recipes in %.2f s%n", groups.size(), n, (System.nanoTime() - t0) / 1e9);
            long t = System.nanoTime();
            SeasonPlan plan = SeasonPlanner.plan(brief, 10, SolveWatch.NONE);
            System.out.printf("%d orders: %.1f s, search %s gap %.4f, not holding %d, hours %.0f batches %d%n", size[0], (System.nanoTime() - t) / 1e9, plan.search(), plan.search().gap(), plan.promises().stream().filter(p -> p.state() != Promise.State.HOLDS).count(), plan.hours(), plan.batches().size());
            plan.promises().stream().filter(p -> p.state() != Promise.State.HOLDS).limit(3).forEach(p -> System.out.println("  " + p.demand().id()+" "+p.demand().count() + " " + p.state() + " " + p.chance()));
            plan.waysOut().forEach(w -> System.out.println(w.text()));
        }
    }
}
