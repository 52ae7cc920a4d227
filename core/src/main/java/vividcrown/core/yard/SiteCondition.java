package vividcrown.core.yard;

/** What a place is like to work at. */
public enum SiteCondition {
    /** People live or walk near: no work on hot days, calm stock, water of their own. */
    NEIGHBOURS,
    /** Small hive beetle is about. */
    BEETLES,
    /** Robbing begins easily: strong colonies or other apiaries are near. */
    ROBBING,
    /** Cattle, horses or sheep graze here. */
    LIVESTOCK,
    /** Bears, martens, badgers or birds take their share. */
    PREDATORS,
    /** Fire, flood or heavy wind is to be reckoned with. */
    EXPOSED,
    /** A road that a loaded vehicle cannot take in every weather. */
    HARD_ROAD
}
