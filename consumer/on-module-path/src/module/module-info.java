/** An observatory as a module of its own. */
module dev.observatory {
    exports dev.observatory;
}
